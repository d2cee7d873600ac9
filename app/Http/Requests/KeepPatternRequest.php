<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Rules\Id;
use Embrel\Intake\OwnPattern;
use Embrel\Plan\Plan;
use Illuminate\Foundation\Http\FormRequest;

/** What is kept as a pattern, and under which name. */
final class KeepPatternRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'name' => ['required', 'string', 'max:' . OwnPattern::NAME],
            'from' => ['nullable', new Id()],
            'notes' => ['required', 'boolean'],
            'targets' => ['required', 'boolean'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'name.required' => 'Give the pattern a name.',
            'name.max' => 'A name has at most ' . OwnPattern::NAME . ' characters.',
        ];
    }

    public function name(): string
    {
        return $this->string('name')->toString();
    }

    public function from(): string
    {
        return $this->string('from')->toString() ?: Plan::ROOT;
    }
}
