<?php

declare(strict_types=1);

namespace Embrel\Reader\EndNote;

use Embrel\Citation\Detail;
use Embrel\Citation\Exchange\EndNote;
use Embrel\Citation\PartialDate;
use Embrel\Citation\Person;
use Embrel\Citation\Source;
use Embrel\Citation\SourceKind;
use Embrel\Id\Ids;
use Embrel\Reader\SourceFields;
use Embrel\Reader\SourcesRead;

/** Sources out of EndNote XML, a record at a time. */
final class EndNoteReader
{
    private const PASSED = [
        ...['database', 'source-app', 'rec-number', 'foreign-keys', 'ref-type', 'contributors', 'titles', 'periodical', 'dates', 'urls'],
        ...['keywords', 'access-date', 'modified-date', 'research-notes', 'auth-address', EndNote::KIND],
    ];

    private const END = '</record>';

    /** @var array<string, true> */
    private array $unknown = [];

    public function __construct(private readonly Ids $ids) {}

    public function read(string $text): SourcesRead
    {
        $sources = $said = [];
        [$at, $line] = [0, 1];
        while (preg_match('/<record\b[^>]*>/', $text, $m, PREG_OFFSET_CAPTURE, $at) === 1) {
            $start = $m[0][1];
            $line += substr_count($text, "\n", $at, $start - $at);
            $end = strpos($text, self::END, $start);
            $next = $end === false ? \strlen($text) : $end + \strlen(self::END);
            // Each by itself: one that is damaged takes no other with it.
            $record = $end === false ? null : self::parsed(substr($text, $start, $next - $start));
            $source = $record === null ? null : $this->source($record);
            if ($source !== null) {
                $sources[] = $source;
            } else {
                $said[] = "Line {$line}: " . match (true) {
                    $end === false => 'the entry has no end.',
                    $record === null => 'the entry is damaged.',
                    default => 'the entry has neither a title nor an author.',
                } . ' This entry was left out.';
            }
            $line += substr_count($text, "\n", $start, $next - $start);
            $at = $next;
        }

        return SourcesRead::of($sources, $said, $this->unknown);
    }

    /** Entities that a file declares are none here. */
    private static function parsed(string $xml): ?\DOMElement
    {
        $document = new \DOMDocument();
        $was = libxml_use_internal_errors(true);
        $isRead = $document->loadXML($xml, LIBXML_NONET | LIBXML_COMPACT);
        libxml_clear_errors();
        libxml_use_internal_errors($was);

        return $isRead ? $document->documentElement : null;
    }

    private function source(\DOMElement $record): ?Source
    {
        $texts = $details = $contributors = [];
        foreach (EndNote::FIELDS as $path => $field) {
            $texts[$field] = ($texts[$field] ?? '') === '' ? self::texts($record, $path)[0] ?? '' : $texts[$field];
        }
        foreach (EndNote::DETAILS as $path => $detail) {
            $all = self::texts($record, $path);
            $text = $detail === Detail::Keywords ? implode('; ', $all) : $all[0] ?? '';
            $details += $text === '' ? [] : [$detail->value => $text];
        }
        foreach (EndNote::CONTRIBUTORS as $name => $role) {
            $contributors[$role->value] = self::people($record, $name);
        }
        $authors = self::people($record, 'authors');
        if ($texts['title'] === '' && $authors === [] && $texts['url'] === '') {
            return null;
        }
        foreach ($record->childNodes as $child) {
            $name = $child instanceof \DOMElement ? $child->localName ?? '' : '';
            $isKnown = \in_array($name, ['', ...self::PASSED], true) || isset(EndNote::FIELDS[$name]) || isset(EndNote::DETAILS[$name]);
            if (!$isKnown) {
                $this->unknown[mb_strimwidth($name, 0, 40, '…')] = true;
            }
        }

        return SourceFields::source(
            $this->ids->next(),
            $texts['title'],
            self::kind($record),
            $authors,
            self::people($record, 'secondary-authors'),
            self::date($record),
            PartialDate::typed(self::texts($record, 'access-date')[0] ?? self::texts($record, 'urls/access-date')[0] ?? ''),
            array_diff_key($texts, ['title' => 1]),
            $contributors,
            $details,
        );
    }

    private static function kind(\DOMElement $record): SourceKind
    {
        $type = self::elements($record, 'ref-type')[0] ?? null;
        $name = $type?->getAttribute('name') ?? '';
        $own = SourceKind::tryFrom(self::texts($record, EndNote::KIND)[0] ?? '');
        if (isset(EndNote::KINDS[$name]) && EndNote::KINDS[$name][1] !== SourceKind::Other) {
            return EndNote::KINDS[$name][1];
        }
        $byNumber = array_column(EndNote::KINDS, 1, 0)[(int) ($type->textContent ?? 0)] ?? SourceKind::Other;

        return $own ?? $byNumber;
    }

    /** The year, and of a date beside it what can be read. */
    private static function date(\DOMElement $record): ?PartialDate
    {
        $year = self::texts($record, 'dates/year')[0] ?? '';
        $more = self::texts($record, 'dates/pub-dates/date')[0] ?? '';
        $date = PartialDate::of($year) ?? PartialDate::typed($year);
        if ($more === '' || $date === null || $date->year === null) {
            return $date ?? PartialDate::typed($more);
        }
        $typed = array_map(PartialDate::typed(...), [$more, "{$more}, {$year}", "{$more} {$year}"]);
        foreach ([PartialDate::of($more), ...$typed] as $whole) {
            if ($whole?->year === $date->year && $whole->month !== null) {
                return $whole;
            }
        }

        return $date;
    }

    /** @return list<Person> */
    private static function people(\DOMElement $record, string $name): array
    {
        // A comma at the end says that it is an organisation, however many words it has.
        return array_map(
            static fn(string $person): Person => str_ends_with($person, ',') ? new Person(rtrim($person, ', ')) : Person::typed($person),
            self::texts($record, "contributors/{$name}/author"),
        );
    }

    /** @return list<string> what elements say, without what sets their letters apart */
    private static function texts(\DOMElement $record, string $path): array
    {
        $texts = array_map(static fn(\DOMElement $one): string => trim($one->textContent), self::elements($record, $path));

        return array_values(array_filter($texts, static fn(string $text): bool => $text !== ''));
    }

    /** @return list<\DOMElement> */
    private static function elements(\DOMElement $element, string $path): array
    {
        [$name, $rest] = explode('/', $path, 2) + [1 => ''];
        $out = [];
        foreach ($element->childNodes as $child) {
            if ($child instanceof \DOMElement && $child->localName === $name) {
                array_push($out, ...$rest === '' ? [$child] : self::elements($child, $rest));
            }
        }

        return $out;
    }
}
