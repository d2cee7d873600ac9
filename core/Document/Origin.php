<?php

declare(strict_types=1);

namespace Embrel\Document;

use Embrel\Id\Ulid;
use Embrel\Plan\Kind;

/**
 * Of what a draft was made, carried by a hidden bookmark at its title: which plan, as it was at which revision,
 * without which kinds of topics.
 */
final readonly class Origin
{
    private const FORM = '/\A_d(' . Ulid::FORM . ')r(\d{1,8})([paq]{0,3})\z/';
    private const LETTERS = ['p' => Kind::Point, 'a' => Kind::Aside, 'q' => Kind::Quote];

    /** @param list<Kind> $without */
    public function __construct(public string $plan, public int $revision, public array $without = []) {}

    public static function of(string $bookmark): ?self
    {
        return preg_match(self::FORM, $bookmark, $m) !== 1
            ? null
            : new self(
                $m[1],
                (int) $m[2],
                array_map(static fn(string $letter): Kind => self::LETTERS[$letter], $m[3] === '' ? [] : str_split($m[3])),
            );
    }

    /** At most 40 characters, as many as a bookmark may have. */
    public function name(): string
    {
        return "_d{$this->plan}r{$this->revision}"
            . implode('', array_keys(array_filter(self::LETTERS, fn(Kind $kind): bool => \in_array($kind, $this->without, true))));
    }
}
