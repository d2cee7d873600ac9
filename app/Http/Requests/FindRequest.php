<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Http\Given;
use App\Rules\Id;
use App\Rules\ListOf;
use Embrel\Plan\Plan as CorePlan;
use Embrel\Search\Query;
use Illuminate\Foundation\Http\FormRequest;

/** What is looked for, where, and what is to stand in its place. */
final class FindRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        $common = [
            'text' => ['nullable', 'string', 'max:1000'],
            'whole' => ['boolean'],
            'case' => ['boolean'],
            'within' => ['nullable', new Id()],
        ];

        return $this->isMethod('get')
            ? $common
            : $common + [
                'base' => ['required', 'integer', 'min:0'],
                'with' => ['nullable', 'string', 'max:1000'],
                'chosen' => ['required', new ListOf(1000, static fn(mixed $key): bool => \is_string($key) && \strlen($key) <= 100)],
            ];
    }

    public function searched(): Query
    {
        return new Query(Given::text($this, 'text'), $this->boolean('whole'), $this->boolean('case'));
    }

    public function within(CorePlan $plan): string
    {
        $within = $this->string('within')->toString();

        return $within !== '' && $plan->has($within) && $plan->isLive($within) ? $within : CorePlan::ROOT;
    }

    public function replacement(): string
    {
        return Given::text($this, 'with');
    }

    /** @return list<string> */
    public function chosen(): array
    {
        return array_values(array_filter((array) $this->input('chosen'), is_string(...)));
    }
}
