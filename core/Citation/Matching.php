<?php

declare(strict_types=1);

namespace Embrel\Citation;

/** Which known source a line of text means: by address or number, by name and year, by its title. */
final class Matching
{
    private const BRACKET = '/\s*[(\[]([^()\[\]]{3,160})[)\]]\s*[.]?\s*\z/u';
    private const NAME_YEAR = '/\A(?:see\s+|cf\.\s+|vgl\.\s+)?(\p{Lu}[\p{L}\'’\-]+)(?:(?:,|\s+(?:and|und|&)|\s+et)\s[^\d]*?)??,?\s*\(?(?:c(?:irca|a)?\.?\s*)?(\d{4})[a-z]?\)?(?:[,:;]?\s*(.*?))?\z/u';
    private const NAME_PAGE = '/\A(\p{Lu}[\p{L}\'’\-]+)(?:\s+(?:and|und|&)\s+\S+|\s+et '
        . 'al\.?)?,?\s+((?:pp?\.|S\.|ch\.|Kap\.)\s*\S.*|\d+(?:[-–]\d+)?)\z/u';

    private readonly Duplicates $duplicates;

    /** @var array<string, list<Source>> first family name in small letters → sources */
    private array $byName = [];

    /** @var array<string, list<Source>> title in small letters → sources */
    private array $byTitle = [];

    /** @param iterable<Source> $sources */
    public function __construct(iterable $sources)
    {
        $this->duplicates = new Duplicates();
        foreach ($sources as $source) {
            $this->duplicates->add($source);
            foreach (\array_slice($source->people(), 0, 1) as $person) {
                $this->byName[mb_strtolower($person->family)][] = $source;
            }
            foreach (array_unique([self::plain($source->title), self::plain(explode(':', $source->title)[0])]) as $title) {
                if (str_contains($title, ' ') || mb_strlen($title) > 7) {
                    $this->byTitle[$title][] = $source;
                }
            }
        }
    }

    /** The source that the whole line names, and the pages it gives. */
    public function of(string $line): ?Cited
    {
        $line = trim($line, " \t.;");
        if ($line === '' || \strlen($line) > 600) {
            return null;
        }
        $typed = TypedSource::read($line, '');
        $same = $this->duplicates->of($typed->source);
        if ($same !== null) {
            return new Cited($same, $typed->pages);
        }
        if (preg_match(self::NAME_YEAR, $line, $m) === 1) {
            $cited = self::only(
                array_filter($this->named($m[1]), static fn(Source $source): bool => $source->date?->year === (int) $m[2]),
                $m[3] ?? '',
            );
        } elseif (preg_match(self::NAME_PAGE, $line, $m) === 1) {
            $cited = self::only($this->named($m[1]), $m[2]);
        }

        return $cited ?? self::only($this->byTitle[self::plain($typed->source->title)] ?? [], $typed->pages);
    }

    /**
     * The source that stands in brackets at the end of a line, and the line without it.
     *
     * @return array{string, Cited}|null
     */
    public function atEnd(string $line): ?array
    {
        if (preg_match(self::BRACKET, $line, $m) !== 1) {
            return null;
        }
        $cited = $this->of($m[1]);

        return $cited === null ? null : [substr($line, 0, -\strlen($m[0])), $cited];
    }

    /** @return list<Source> */
    private function named(string $family): array
    {
        return $this->byName[mb_strtolower($family)] ?? [];
    }

    /** @param array<Source> $found */
    private static function only(array $found, string $pages): ?Cited
    {
        return \count($found) === 1 ? new Cited(reset($found)->id, Pages::bare(trim($pages, ' .,'))) : null;
    }

    private static function plain(string $title): string
    {
        return trim(preg_replace('/[^\p{L}\p{N}]+/u', ' ', mb_strtolower(Titles::withoutArticle($title))) ?? '');
    }
}
