<?php

declare(strict_types=1);

namespace Embrel\Csv;

/** Tables as text (CSV, RFC 4180). What a spreadsheet would take for a formula has an apostrophe in front, which it does not show. */
final class Csv
{
    private const FORMULA = '/\A[=+@\t\r]|\A-(?=\S)/';
    /** By which spreadsheets tell that a text is UTF-8. */
    private const MARK = "\u{FEFF}";
    private const GUARD = '/\A\x27(?=[=+@-])/';

    /**
     * @param resource              $out
     * @param list<string|int|null> $cells
     */
    public static function put($out, array $cells): void
    {
        fputcsv($out, array_map(self::safe(...), $cells), ',', '"', '', "\r\n");
    }

    private static function safe(string|int|null $cell): string
    {
        return \is_string($cell) && preg_match(self::FORMULA, $cell) === 1 ? "'{$cell}" : (string) $cell;
    }

    /**
     * The rows of a table with commas, semicolons or tabs: whichever divides the first one most often. Rows without a word are
     * left out.
     *
     * @param string $text in UTF-8
     *
     * @return \Generator<int, list<string>> row from 1 → its cells, without the white space around them
     */
    public static function rows(string $text): \Generator
    {
        $table = fopen('php://temp', 'w+') ?: throw new \RuntimeException('No temporary stream could be opened.');
        fwrite($table, str_starts_with($text, self::MARK) ? substr($text, \strlen(self::MARK)) : $text);
        rewind($table);
        $separator = self::separator((string) fgets($table));
        rewind($table);
        for ($number = 1; ($row = fgetcsv($table, null, $separator, '"', '')) !== false; ++$number) {
            $cells = array_map(static fn(?string $cell): string => preg_replace(self::GUARD, '', trim((string) $cell)) ?? '', $row);
            if (implode('', $cells) !== '') {
                yield $number => $cells;
            }
        }
        fclose($table);
    }

    private static function separator(string $first): string
    {
        $first = (string) preg_replace('/"[^"]*"/', '', $first);
        $counts = [',' => substr_count($first, ','), ';' => substr_count($first, ';'), "\t" => substr_count($first, "\t")];
        arsort($counts);

        return (string) array_key_first($counts);
    }
}
