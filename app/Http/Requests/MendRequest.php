<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Rules\ListOf;
use Closure;
use Embrel\Check\Rule;
use Illuminate\Foundation\Http\FormRequest;

/** What is to be mended: all that a rule has found, or some of it. */
final class MendRequest extends FormRequest
{
    private const MOST = 500;

    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'base' => ['required', 'integer', 'min:0'],
            'rule' => ['required', 'string', static function (string $name, mixed $value, Closure $fail): void {
                if (!\is_string($value) || Rule::tryFrom($value)?->isMendable() !== true) {
                    $fail('What this has found cannot be mended without asking.');
                }
            }],
            'findings' => ['sometimes', new ListOf(self::MOST, static fn(mixed $key): bool => \is_string($key) && \strlen($key) <= 120)],
        ];
    }

    public function rule(): Rule
    {
        return Rule::from($this->string('rule')->toString());
    }

    /** @return array<string, mixed>|null keys; null: all */
    public function chosen(): ?array
    {
        $given = $this->input('findings');

        return \is_array($given) ? array_flip(array_filter($given, is_string(...))) : null;
    }
}
