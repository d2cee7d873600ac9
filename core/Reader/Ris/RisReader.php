<?php

declare(strict_types=1);

namespace Embrel\Reader\Ris;

use Embrel\Citation\Detail;
use Embrel\Citation\Exchange\Ris;
use Embrel\Citation\PartialDate;
use Embrel\Citation\Person;
use Embrel\Citation\Source;
use Embrel\Citation\SourceKind;
use Embrel\Id\Ids;
use Embrel\Reader\SourceFields;
use Embrel\Reader\SourcesRead;

/** Sources out of RIS: lines of a tag of two signs, two spaces, a hyphen and a value, from TY to ER. */
final class RisReader
{
    private const FIELDS = [
        'TI' => 'title',
        'T1' => 'title',
        'CT' => 'title',
        'T2' => 'container',
        'JO' => 'container',
        'JF' => 'container',
        'JA' => 'container',
        'BT' => 'container',
        'PB' => 'publisher',
        'CY' => 'place',
        'PP' => 'place',
        'ET' => 'edition',
        'VL' => 'volume',
        'IS' => 'issue',
        'M1' => 'issue',
        'SP' => 'pages',
        'UR' => 'url',
        'DO' => 'doi',
        'SN' => 'isbn',
        'LA' => 'language',
        'N1' => 'remark',
    ];
    private const PEOPLE = ['AU' => 'authors', 'A1' => 'authors', 'A2' => 'editors', 'ED' => 'editors'];
    private const PASSED = ['TY', 'ER', 'ID', 'EP', 'PY', 'Y1', 'DA', 'Y2', 'U1', 'L1', 'L2', 'L4', Ris::KIND];

    public function __construct(private readonly Ids $ids) {}

    public function read(string $text): SourcesRead
    {
        $sources = $said = $unknown = [];
        foreach (self::entries($text, $said) as $line => $entry) {
            [$people, $texts] = self::fields($entry, $unknown);
            if (($texts['title'] ?? '') === '' && $people['authors'] === [] && ($texts['url'] ?? '') === '') {
                $said[] = "Line {$line}: the entry has neither a title nor an author. This entry was left out.";
            } else {
                $sources[] = $this->source($entry, $people, $texts);
            }
        }

        return SourcesRead::of($sources, $said, $unknown);
    }

    /**
     * What stands between TY and ER, tag by tag; an entry without an end goes as far as the next begins.
     *
     * @param list<string> $said
     *
     * @return \Generator<int, array<string, list<string>>> the line that it begins in → tag → values
     */
    private static function entries(string $text, array &$said): \Generator
    {
        $entry = null;
        $start = 0;
        $last = '';
        foreach (explode("\n", $text) as $n => $line) {
            if (preg_match('/\A([A-Z][A-Z0-9])  ?-(?: ?(.*))?\z/s', rtrim($line), $m) !== 1) {
                // A value that was broken goes on without a tag.
                if ($entry !== null && $last !== '' && trim($line) !== '') {
                    $entry[$last][] = array_pop($entry[$last]) . ' ' . trim($line);
                } elseif (trim($line) !== '') {
                    $said[] = 'Line ' . ($n + 1) . ': it stands outside any entry and was left out.';
                }

                continue;
            }
            [, $tag] = $m;
            if ($tag === 'TY') {
                if ($entry !== null) {
                    $said[] = "Line {$start}: the entry has no end (ER). It was read as far as the next begins.";
                    yield $start => $entry;
                }
                [$entry, $start] = [[], $n + 1];
            }
            if ($tag === 'ER' && $entry !== null) {
                yield $start => $entry;
                $entry = null;
            } elseif ($entry !== null) {
                $entry[$tag][] = trim($m[2] ?? '');
                $last = $tag;
            }
        }
        if ($entry !== null) {
            $said[] = "Line {$start}: the entry has no end (ER). It was read as far as the file goes.";
            yield $start => $entry;
        }
    }

    /**
     * Of several tags for one field the first counts; remarks are joined.
     *
     * @param array<string, list<string>> $entry
     * @param array<string, true>         $unknown tags that we do not know, which are added
     *
     * @return array{array{authors: list<Person>, editors: list<Person>}, array<string, string>}
     */
    private static function fields(array $entry, array &$unknown): array
    {
        $texts = [];
        $people = ['authors' => [], 'editors' => []];
        foreach ($entry as $tag => $values) {
            $values = array_values(array_filter($values, static fn(string $value): bool => $value !== ''));
            $field = self::FIELDS[$tag] ?? null;
            if (isset(self::PEOPLE[$tag])) {
                $people[self::PEOPLE[$tag]] = [...$people[self::PEOPLE[$tag]], ...array_map(Person::typed(...), $values)];
            } elseif ($field === 'remark') {
                $texts[$field] = trim(($texts[$field] ?? '') . "\n" . implode("\n", $values));
            } elseif ($field !== null) {
                $texts[$field] = ($texts[$field] ?? '') === '' ? $values[0] ?? '' : $texts[$field];
            } elseif (!\in_array($tag, self::PASSED, true) && !isset(Ris::DETAILS[$tag]) && !isset(Ris::CONTRIBUTORS[$tag])) {
                $unknown[$tag] = true;
            }
        }

        return [$people, $texts];
    }

    /**
     * @param array<string, list<string>>                                $entry
     * @param array{authors: list<Person>, editors: list<Person>}        $people
     * @param array<string, string>                                      $texts
     */
    private function source(array $entry, array $people, array $texts): Source
    {
        $end = $entry['EP'][0] ?? '';
        if ($end !== '' && ($texts['pages'] ?? '') !== '' && !str_contains($texts['pages'], '-') && $end !== $texts['pages']) {
            $texts['pages'] .= "-{$end}";
        }

        return SourceFields::source(
            $this->ids->next(),
            $texts['title'] ?? '',
            self::kind($entry),
            $people['authors'],
            $people['editors'],
            self::date($entry['DA'][0] ?? ($entry['PY'][0] ?? ($entry['Y1'][0] ?? ''))),
            self::date($entry['Y2'][0] ?? ''),
            array_diff_key($texts, ['title' => 1]),
            self::contributors($entry),
            self::details($entry),
        );
    }

    /** @param array<string, list<string>> $entry */
    private static function kind(array $entry): SourceKind
    {
        return Ris::KINDS[$entry['TY'][0] ?? ''] ?? SourceKind::tryFrom($entry[Ris::KIND][0] ?? '') ?? SourceKind::Other;
    }

    /**
     * @param array<string, list<string>> $entry
     *
     * @return array<string, list<Person>>
     */
    private static function contributors(array $entry): array
    {
        $out = [];
        foreach (array_intersect_key(Ris::CONTRIBUTORS, $entry) as $tag => $role) {
            $names = array_filter($entry[$tag], static fn(string $name): bool => $name !== '');
            $out[$role->value] = [...$out[$role->value] ?? [], ...array_map(Person::typed(...), array_values($names))];
        }

        return $out;
    }

    /**
     * @param array<string, list<string>> $entry
     *
     * @return array<string, string>
     */
    private static function details(array $entry): array
    {
        $out = [];
        foreach (array_intersect_key(Ris::DETAILS, $entry) as $tag => $detail) {
            $values = array_filter($entry[$tag], static fn(string $value): bool => $value !== '');
            $out[$detail->value] ??= $detail === Detail::Keywords ? implode('; ', $values) : (string) reset($values);
        }

        return $out;
    }

    /** YYYY/MM/DD/other, each part perhaps empty. */
    private static function date(string $value): ?PartialDate
    {
        if (preg_match('/\A(\d{4})(?:[\/\-](\d{0,2})(?:[\/\-](\d{0,2}))?)?/', $value, $m) !== 1) {
            return PartialDate::typed($value);
        }

        return PartialDate::on((int) $m[1], (int) ($m[2] ?? 0), (int) ($m[3] ?? 0));
    }
}
