<?php

declare(strict_types=1);

namespace Embrel\Reader\Html;

/** The text of a page in UTF-8, whatever it says or fails to say of its encoding. */
final class PageText
{
    /** @param string $charset as the answer named it; empty: as the page does, else UTF-8 */
    public static function utf8(string $html, string $charset = ''): string
    {
        foreach (["\xFF\xFE" => 'UTF-16LE', "\xFE\xFF" => 'UTF-16BE'] as $mark => $wide) {
            $html = str_starts_with($html, (string) $mark) ? (string) mb_convert_encoding(substr($html, 2), 'UTF-8', $wide) : $html;
        }
        $html = str_starts_with($html, "\xEF\xBB\xBF") ? substr($html, 3) : $html;
        if ($charset === '' && preg_match('/<meta[^>]{0,200}charset\s*=\s*["\']?([\w-]{3,20})/i', substr($html, 0, 2048), $m) === 1) {
            $charset = $m[1];
        }
        $known = array_map(strtolower(...), mb_list_encodings());
        if ($charset !== '' && strtolower($charset) !== 'utf-8' && !str_starts_with(strtolower($charset), 'utf-16')) {
            $html = (string) mb_convert_encoding($html, 'UTF-8', \in_array(strtolower($charset), $known, true) ? $charset : 'Windows-1252');
        }

        $html = mb_check_encoding($html, 'UTF-8') ? $html : (string) mb_convert_encoding($html, 'UTF-8', 'Windows-1252');

        // What the page says of its encoding holds no longer.
        return preg_replace('/(<meta[^>]{0,200}charset\s*=\s*["\']?)[\w-]{3,20}/i', '$1utf-8', $html, 1) ?? $html;
    }

    /** @param string $html in UTF-8 */
    public static function dom(string $html): \DOMDocument
    {
        $page = new \DOMDocument();
        $errors = libxml_use_internal_errors(true);
        $page->loadHTML('<?xml encoding="UTF-8">' . $html, \LIBXML_NONET | \LIBXML_COMPACT);
        libxml_clear_errors();
        libxml_use_internal_errors($errors);

        return $page;
    }
}
