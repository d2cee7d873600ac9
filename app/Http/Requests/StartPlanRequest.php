<?php

declare(strict_types=1);

namespace App\Http\Requests;

use Embrel\Id\Ids;
use Embrel\Intake\Pattern;
use Embrel\Limits;
use Embrel\Plan\Plan;
use Embrel\Plan\Properties;
use Embrel\Plan\Topic;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;

final class StartPlanRequest extends FormRequest
{
    public function authorize(): bool
    {
        return $this->user() !== null;
    }

    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'title' => ['required', 'string', 'max:' . Limits::TITLE],
            'pattern' => ['nullable', Rule::enum(Pattern::class)],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['title.required' => 'Give the piece a name first. It can be changed at any time.'];
    }

    public function plan(): Plan
    {
        $title = Topic::title($this->string('title')->toString());
        $author = mb_substr((string) $this->user()?->name, 0, 200);
        $pattern = Pattern::tryFrom($this->string('pattern')->toString());

        return $pattern === null ? Plan::titled($title, new Properties(author: $author)) : $pattern->plan($title, $author, app(Ids::class));
    }
}
