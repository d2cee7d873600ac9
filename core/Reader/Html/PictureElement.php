<?php

declare(strict_types=1);

namespace Embrel\Reader\Html;

use Embrel\Archive\Shelf;
use Embrel\Document\Reading;
use Embrel\Reader\PicturePlace;
use Embrel\RichText\Mark;
use Embrel\RichText\MarkType;
use Embrel\RichText\Node;

/** A picture of a page: what it is called, its caption, where it leads, how wide it is shown. */
final class PictureElement
{
    /** @param list<Mark> $marks of the text that it stands in */
    public static function read(\DOMElement $img, array $marks, Shelf $shelf, Reading $reading): ?Node
    {
        $alt = trim($img->getAttribute('alt'));
        $attrs = $alt === '' ? [] : ['alt' => mb_strcut($alt, 0, 4000)];
        $title = Reading::line($img->getAttribute('title'));
        $attrs += $title === '' || $title === $alt ? [] : ['caption' => mb_strcut($title, 0, 8000)];
        foreach ($marks as $mark) {
            $attrs += $mark->type === MarkType::Link ? ['href' => $mark->attrs['href']] : [];
        }
        $src = trim($img->getAttribute('src'));
        $isOwn = str_starts_with($src, EmbeddedPictures::SCHEME);
        $width = preg_match('/\A\d{1,5}\z/', $img->getAttribute('width')) === 1 ? (int) $img->getAttribute('width') : 0;

        return $isOwn
            ? PicturePlace::of(substr($src, \strlen(EmbeddedPictures::SCHEME)), $width, $attrs, $shelf, $reading)
            : PicturePlace::onTheWeb($src, $attrs, $reading);
    }

    /** Whether our own page has it as the picture of a topic. */
    public static function isOfTopic(\DOMElement $img): bool
    {
        return $img->parentNode instanceof \DOMElement && $img->parentNode->hasAttribute('data-topic');
    }
}
