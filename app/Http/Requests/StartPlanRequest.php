<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Models\User;
use App\Store\Patterns;
use Embrel\Intake\OwnPattern;
use Embrel\Limits;
use Embrel\Plan\Plan;
use Embrel\Plan\Properties;
use Embrel\Plan\Topic;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\ValidationException;

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
            'pattern' => ['nullable', 'string', 'max:40'],
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
        $user = $this->user();
        $chosen = $this->string('pattern')->toString();
        $pattern = $chosen === '' || !$user instanceof User ? null : app(Patterns::class)->find($user, $chosen);
        if ($pattern === null && $chosen !== '') {
            throw ValidationException::withMessages(['pattern' => 'This pattern is not there any more. Choose another.']);
        }

        return $pattern === null ? Plan::titled($title, new Properties(author: $author)) : OwnPattern::plan($pattern, $title, $author);
    }
}
