<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Models\Plan;
use App\Rules\Id;
use App\Rules\ListOf;
use Embrel\Plan\Place;
use Illuminate\Auth\Access\Response;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Support\Facades\Gate;

/** Which branches of which other plan come in, and where; none of them: all of it. */
final class CopyRequest extends FormRequest
{
    /** The other plan must be one's to read; where they are taken out of it, to change. */
    public function authorize(): Response
    {
        $id = $this->input('from');
        if (!Id::fits($id)) {
            return Response::allow('It is refused as what it is.');
        }
        $from = Plan::query()->where('id', $id)->first();

        return $from === null ? Response::denyAsNotFound() : Gate::inspect($this->moves() ? 'update' : 'view', $from);
    }

    /** @return array<string, mixed> */
    public function rules(): array
    {
        $id = new Id();

        return [
            'id' => ['required', $id],
            'base' => ['required', 'integer', 'min:0'],
            'from' => ['required', $id],
            'topics' => ['present', ListOf::ids(5000)],
            'parent' => ['required', $id],
            'after' => ['nullable', $id],
            'move' => ['boolean'],
            'last' => ['boolean'],
        ];
    }

    public function moves(): bool
    {
        return $this->boolean('move');
    }

    public function from(): Plan
    {
        return Plan::query()->where('id', $this->input('from'))->firstOrFail();
    }

    /** @return list<string> */
    public function topics(): array
    {
        return array_values(array_filter((array) $this->input('topics'), is_string(...)));
    }

    /** By which the change is known. */
    public function change(): string
    {
        return $this->string('id')->toString();
    }

    public function base(): int
    {
        return $this->integer('base');
    }

    /** Null: the last place in `parent`. */
    public function place(): ?Place
    {
        return $this->boolean('last') ? null : new Place($this->parent(), $this->string('after')->toString() ?: null);
    }

    public function parent(): string
    {
        return $this->string('parent')->toString();
    }
}
