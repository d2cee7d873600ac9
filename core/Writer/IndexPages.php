<?php

declare(strict_types=1);

namespace Embrel\Writer;

use Embrel\Document\Document;
use Embrel\Document\Element;
use Embrel\Document\Pictures;
use Embrel\Document\Role;
use Embrel\Fonts\Typefaces;
use Embrel\Pages\Typesetter;

/** The pages of an index, as our own pages have them, for files whose pages another program sets. */
final class IndexPages
{
    /** A document whose places in the index have their pages, each page once; itself where there is no index. */
    public static function in(Document $document, ?Pictures $pictures): Document
    {
        $hasIndex = array_filter($document->elements, static fn(Element $element): bool => $element->role === Role::IndexEntry) !== [];
        if (!$hasIndex) {
            return $document;
        }
        $book = Typesetter::book($document, Typefaces::shipped($document->properties->language), $pictures);

        return $document->withElements(array_map(static function (Element $element) use ($book): Element {
            $places = $seen = [];
            foreach ($element->places as $place) {
                $page = $book->places[$place['place']] ?? 1;
                isset($seen[$page]) ? null : $places[] = ['page' => $page] + $place;
                $seen[$page] = true;
            }

            return $element->places === [] ? $element : $element->with(['places' => $places]);
        }, $document->elements));
    }
}
