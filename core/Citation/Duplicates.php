<?php

declare(strict_types=1);

namespace Embrel\Citation;

/** Finds sources that are probably the same: by DOI, ISBN or address, else by title, year and first name. */
final class Duplicates
{
    /** @var array<string, string> key → the source that has it */
    private array $known = [];

    /** @param iterable<Source> $sources */
    public function __construct(iterable $sources = [])
    {
        foreach ($sources as $source) {
            $this->add($source);
        }
    }

    public function add(Source $source): void
    {
        foreach (self::keys($source) as $key) {
            $this->known[$key] ??= $source->id;
        }
    }

    /** The id of another source that this is probably the same as. */
    public function of(Source $source): ?string
    {
        foreach (self::keys($source) as $key) {
            if (isset($this->known[$key]) && $this->known[$key] !== $source->id) {
                return $this->known[$key];
            }
        }

        return null;
    }

    /** @return list<string> from the surest to the least */
    private static function keys(Source $source): array
    {
        $keys = [];
        if ($source->doi !== '') {
            $keys[] = 'doi:' . strtolower($source->doi);
        }
        // Chapters share the number of their book.
        if ($source->isbn !== '' && $source->kind !== SourceKind::Chapter) {
            $keys[] = 'isbn:' . preg_replace('/[^\dX]/i', '', $source->isbn);
        }
        if ($source->url !== '') {
            $keys[] = 'url:' . preg_replace('/\Ahttps?:\/\/(?:www\.)?|\/\z/', '', strtolower($source->url));
        }
        $title = preg_replace('/[^\p{L}\p{N}]+/u', ' ', mb_strtolower(Titles::withoutArticle($source->title))) ?? '';
        if (trim($title) !== '') {
            $keys[] = implode('|', [
                trim($title),
                $source->date->year ?? '',
                mb_strtolower($source->people()[0]->family ?? ''),
                $source->edition,
                $source->volume,
            ]);
        }

        return $keys;
    }
}
