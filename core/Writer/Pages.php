<?php

declare(strict_types=1);

namespace Embrel\Writer;

use Embrel\Document\Anchor;
use Embrel\Document\Document;
use Embrel\Document\Element;
use Embrel\Document\Role;

/** A document divided into pages of a site or an e-book: what stands before the first main section, then each of these. */
final class Pages
{
    /**
     * @param string $extension of the files, with its point
     *
     * @return list<array{name: string, title: string, elements: list<Element>}>
     */
    public static function of(Document $document, string $extension): array
    {
        $pages = $current = [];
        $page = ['name' => "index{$extension}", 'title' => $document->title];
        foreach ($document->elements as $element) {
            if ($element->role === Role::Heading && $element->level === 1) {
                $pages[] = ['elements' => $current] + $page;
                $current = [];
                $page = [
                    'name' => \sprintf('%02d', \count($pages)) . self::slug($element->title) . $extension,
                    'title' => trim("{$element->number} {$element->title}"),
                ];
            }
            $current[] = $element;
        }
        $pages[] = ['elements' => $current] + $page;

        return $pages;
    }

    /** Letters and digits of ASCII alone: every system and every reader takes such a name. */
    private static function slug(string $title): string
    {
        $plain = strtolower((string) preg_replace('/[^A-Za-z0-9]+/', '-', (string) iconv('UTF-8', 'ASCII//TRANSLIT//IGNORE', $title)));
        $slug = trim(substr($plain, 0, 40), '-');

        return $slug === '' ? '' : "-{$slug}";
    }

    /**
     * @param list<array{name: string, title: string, elements: list<Element>}> $pages
     *
     * @return array<string, string> topic → page and name there
     */
    public static function places(array $pages): array
    {
        $places = [];
        foreach ($pages as $page) {
            foreach ($page['elements'] as $element) {
                if ($element->anchor !== null || $element->role === Role::Heading) {
                    $places[$element->topic] ??= $page['name'] . '#' . ($element->anchor ?? new Anchor($element->topic))->name();
                }
            }
        }

        return $places;
    }
}
