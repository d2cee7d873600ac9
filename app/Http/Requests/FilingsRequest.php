<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Rules\Id;
use App\Rules\ListOf;
use Embrel\Check\Research\Filed;
use Embrel\Check\Research\Filing;
use Illuminate\Foundation\Http\FormRequest;

/** What looked like research, and as what each of it is filed. */
final class FilingsRequest extends FormRequest
{
    public const MOST = 2000;

    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'base' => ['required', 'integer', 'min:0'],
            'filings' => ['required', new ListOf(self::MOST, self::isFiling(...))],
        ];
    }

    private static function isFiling(mixed $one): bool
    {
        $as = \is_array($one) && \is_string($one['as'] ?? null) ? Filing::tryFrom($one['as']) : null;

        return $as !== null
            && Id::fits($one['topic'] ?? null)
            && (Id::fits($one['into'] ?? null) || (!isset($one['into']) && $as !== Filing::Note))
            && \is_array($one['source'] ?? []);
    }

    public function base(): int
    {
        return $this->integer('base');
    }

    /** @return list<Filed> */
    public function filed(): array
    {
        return array_map(
            static fn(array $one): Filed => new Filed(
                $one['topic'],
                Filing::from($one['as']),
                $one['into'] ?? null,
                $one['source'] ?? null,
            ),
            array_values((array) $this->validated('filings')),
        );
    }
}
