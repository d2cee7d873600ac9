<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Rules\Id;
use Illuminate\Foundation\Http\FormRequest;

/** Which pattern is set where. */
final class SetPatternRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'id' => ['required', new Id()],
            'base' => ['required', 'integer', 'min:0'],
            'pattern' => ['required', 'string', 'max:40'],
            'under' => ['required', new Id()],
        ];
    }

    /** By which the change is known. */
    public function change(): string
    {
        return $this->string('id')->toString();
    }

    public function pattern(): string
    {
        return $this->string('pattern')->toString();
    }

    public function under(): string
    {
        return $this->string('under')->toString();
    }
}
