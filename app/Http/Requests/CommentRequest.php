<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Models\Plan;
use App\Rules\Id;
use Embrel\Comment\Suggestion;
use Embrel\Limits;
use Embrel\MalformedShape;
use Embrel\Shape;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;
use Illuminate\Validation\ValidationException;

/** Something that is said, or said otherwise. A suggestion may say nothing beside what it proposes. */
final class CommentRequest extends FormRequest
{
    public function authorize(): bool
    {
        return $this->route('plan') instanceof Plan;
    }

    /** @return array<string, mixed> */
    public function rules(): array
    {
        $isNew = $this->isMethod('post');

        return [
            'id' => [Rule::requiredIf($isNew), new Id()],
            'topic' => [Rule::requiredIf($isNew), new Id()],
            'thread' => ['nullable', new Id()],
            'body' => [Rule::requiredIf($this->input('proposal') === null), 'nullable', 'string', 'max:' . Limits::COMMENT],
            'words' => ['nullable', 'array:text,nth', 'required_array_keys:text,nth'],
            'words.text' => ['sometimes', 'required', 'string', 'max:' . Limits::COMMENT],
            'words.nth' => ['sometimes', 'integer', 'min:0', 'max:' . Limits::NOTE],
            'proposal' => ['nullable', 'array'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'body.required' => 'Write something first.',
            'body.max' => 'A comment has ' . number_format(Limits::COMMENT) . ' characters at most.',
        ];
    }

    public function id(): string
    {
        return $this->string('id')->toString();
    }

    public function topic(): string
    {
        return $this->string('topic')->toString();
    }

    public function body(): string
    {
        return $this->string('body')->toString();
    }

    public function thread(): ?string
    {
        return $this->string('thread')->toString() ?: null;
    }

    /** @return array{text: string, nth: int}|null */
    public function words(): ?array
    {
        $words = $this->validated('words');

        return \is_array($words) ? ['text' => (string) $words['text'], 'nth' => (int) $words['nth']] : null;
    }

    public function suggestion(): ?Suggestion
    {
        $form = $this->validated('proposal');
        try {
            $suggestion = \is_array($form) ? Suggestion::read(new Shape($form, 'proposal')) : null;
        } catch (MalformedShape $why) {
            throw ValidationException::withMessages(['proposal' => $why->getMessage()]);
        }
        if ($suggestion?->isAboutWords() === true && $this->words() === null) {
            throw ValidationException::withMessages(['words' => 'Mark the words first that should be others.']);
        }

        return $suggestion;
    }
}
