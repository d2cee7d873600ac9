<?php

declare(strict_types=1);

namespace Embrel\Reader\Html;

/**
 * What leads to a text and is none: a contents list, or the way around a site. It is one only where
 * it holds nothing but links within the page or the site, with their numbers: many pages put all
 * that they have to say into an element that is called a list of contents.
 */
enum Leading: string
{
    case Contents = 'the contents list';
    case Site = 'what leads around the site';

    /** Words that may stand beside the links: what the list is called, a separator, a label. */
    private const MOST = 6;
    private const CLASSES = '/(?:\A|\s)(?:toc|table-of-contents|toctree-wrapper)(?:\s|\z)/';
    /** What a list of contents is called, in languages that we know. */
    private const NAMES = '/\A\W*(?:table of contents|contents|on this page|inhalt|inhaltsverzeichnis'
        . '|sommaire|table des mati[èe]res|[íi]ndice|contenido|indice|inhoud|inhoudsopgave|spis tre[śs]ci|目次|目录)\W*\z/iu';
    private const SKIPPED = ['script', 'style', 'template', 'noscript', 'svg', 'select', 'title'];

    public static function of(\DOMElement $node, string $tag): ?self
    {
        $role = $node->getAttribute('role');
        $isContents = $role === 'doc-toc' || preg_match(self::CLASSES, $node->getAttribute('class')) === 1;
        $is = match (true) {
            \in_array($tag, ['body', 'html', 'main', 'article'], true) => null,
            $isContents => self::Contents,
            $tag === 'nav' || $role === 'navigation' => self::Site,
            default => null,
        };

        return $is !== null && self::onlyLeads($node) ? $is : null;
    }

    private static function onlyLeads(\DOMElement $node): bool
    {
        $words = 0;

        return self::count($node, false, $words);
    }

    private static function count(\DOMNode $parent, bool $isLink, int &$words): bool
    {
        foreach ($parent->childNodes as $child) {
            if ($child instanceof \DOMText) {
                $words += $isLink ? 0 : (int) preg_match_all('/\p{L}[\p{L}\p{M}\p{N}’\'-]+/u', $child->data);
                if ($words > self::MOST) {
                    return false;
                }
            } elseif ($child instanceof \DOMElement && !\in_array($tag = strtolower($child->nodeName), self::SKIPPED, true)) {
                $isHeading = preg_match('/\Ah[1-6]\z/', $tag) === 1 || $child->getAttribute('role') === 'heading';
                if ($isHeading && preg_match(self::NAMES, $child->textContent) !== 1) {
                    return false;
                }
                if (!self::count($child, $isLink || ($tag === 'a' && self::isWithin($child->getAttribute('href'))), $words)) {
                    return false;
                }
            }
        }

        return true;
    }

    /** Whether an address is of this page, or of the same site as far as it tells. */
    private static function isWithin(string $href): bool
    {
        return $href !== '' && preg_match('#\A(?:[a-z][a-z0-9+.-]*:|//)#i', $href) !== 1;
    }
}
