<?php

declare(strict_types=1);

namespace Embrel\Reader\Html;

use Embrel\Archive\Shelf;
use Embrel\Document\Manuscript;
use Embrel\Document\Reading;
use Embrel\Document\TooManyPieces;
use Embrel\Limits;
use Embrel\Reader\DocumentReader;
use Embrel\Reader\Source;
use Embrel\Reader\Unreadable;

/** Web pages. What can run, and what only leads around a site, is left out. */
final class HtmlReader implements DocumentReader
{
    public function read($in, Shelf $shelf, string $work): Manuscript
    {
        $reading = new Reading();
        $html = EmbeddedPictures::taken(Source::whole($in), $shelf);
        if (\strlen($html) > Limits::HTML) {
            throw Unreadable::pageTooLarge();
        }
        $page = PageText::dom(PageText::utf8($html));
        $root = $page->documentElement;
        if ($root === null) {
            throw Unreadable::blank();
        }
        $language = $root->getAttribute('lang');
        $reading->language = preg_match('/\A[a-z]{2,3}(?:-[A-Za-z0-9]{2,8})*\z/', $language) === 1 ? $language : '';
        foreach ($page->getElementsByTagName('meta') as $meta) {
            $reading->author = strtolower($meta->getAttribute('name')) === 'author' ? $meta->getAttribute('content') : $reading->author;
        }
        $blocks = new HtmlBlocks($reading, $shelf, $page);
        try {
            $body = $page->getElementsByTagName('body')->item(0);
            $body === null ? null : $blocks->document($body);
        } catch (TooManyPieces $why) {
            throw Unreadable::document('web page', $why->getMessage());
        }
        $title = $page->getElementsByTagName('title')->item(0);
        // A page must have a title: ours say so by a dash where the plan has none.
        $reading->title = $reading->title === '' && trim($title->textContent ?? '') !== '–' ? $title->textContent ?? '' : $reading->title;

        return $reading->done();
    }
}
