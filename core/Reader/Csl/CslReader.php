<?php

declare(strict_types=1);

namespace Embrel\Reader\Csl;

use Embrel\Citation\Contributor;
use Embrel\Citation\Detail;
use Embrel\Citation\PartialDate;
use Embrel\Citation\Person;
use Embrel\Citation\Source;
use Embrel\Citation\SourceKind;
use Embrel\Id\Ids;
use Embrel\Id\Ulid;
use Embrel\Reader\SourceFields;
use Embrel\Reader\SourcesRead;

/** Sources out of CSL-JSON (the data schema of the Citation Style Language 1.0). */
final class CslReader
{
    private const FIELDS = [
        'container-title' => 'container',
        'publisher' => 'publisher',
        'publisher-place' => 'place',
        'edition' => 'edition',
        'volume' => 'volume',
        'issue' => 'issue',
        'page' => 'pages',
        'URL' => 'url',
        'DOI' => 'doi',
        'ISBN' => 'isbn',
        'language' => 'language',
        'note' => 'remark',
    ];
    private const PASSED = ['id', 'type', 'title', 'author', 'editor', 'director', 'issued', 'accessed', 'categories', 'custom'];
    /** What older files call otherwise. */
    private const ALIKE = [
        'journalAbbreviation' => 'container-title-short',
        'shortTitle' => 'title-short',
        'event' => 'event-title',
    ];

    /** @var array<string, true> */
    private array $unknown = [];

    public function __construct(private readonly Ids $ids) {}

    public function read(string $text): SourcesRead
    {
        $items = json_decode($text, true, 64);
        if (!\is_array($items)) {
            return new SourcesRead([], ['This is not JSON that can be read: ' . lcfirst(json_last_error_msg()) . '.']);
        }
        $items = array_is_list($items) ? $items : (\is_array($items['items'] ?? null) ? $items['items'] : [$items]);
        $sources = $said = [];
        $lines = self::lines($text);
        foreach (array_values($items) as $n => $item) {
            $source = \is_array($item) ? $this->source($item, $this->ids->next()) : null;
            if ($source === null) {
                $said[]
                    = (isset($lines[$n]) ? "Line {$lines[$n]}" : 'Entry ' . ($n + 1))
                    . ': the entry has neither a title nor an author. This entry was left out.';
            } else {
                $sources[] = $source;
            }
        }

        return SourcesRead::of($sources, $said, $this->unknown);
    }

    /** @return list<int> the line on which each entry of the outer list begins */
    private static function lines(string $text): array
    {
        $lines = [];
        $depth = 0;
        $line = 1;
        preg_match_all('/"(?:[^"\\\\]|\\\\.)*+"|[\[\]{}\n]|(?<=[\[,\s])(?:null|true|false|-?\d[\d.eE+\-]*)/s', $text, $tokens);
        foreach ($tokens[0] as $token) {
            if ($token === "\n") {
                ++$line;
            } elseif ($token === ']' || $token === '}') {
                --$depth;
            } else {
                if ($depth === 1) {
                    $lines[] = $line;
                }
                $depth += $token === '[' || $token === '{' ? 1 : 0;
            }
        }

        return $lines;
    }

    /**
     * @param array<array-key, mixed> $item
     * @param string                  $id   that it gets here
     */
    public function source(array $item, string $id): ?Source
    {
        $title = self::text($item['title'] ?? '');
        $type = \is_string($item['type'] ?? null) ? $item['type'] : '';
        $kind = SourceKind::ofType($type) ?? SourceKind::Other;
        $directors = $this->people($item['director'] ?? []);
        $authors = $this->people($item['author'] ?? []);
        // Of a film its directors stand for it; of anything else they are named beside its authors.
        $isDirected = $kind === SourceKind::Film || $authors === [];
        $authors = $isDirected ? [...$authors, ...$directors] : $authors;
        $contributors = $isDirected || $directors === [] ? [] : [Contributor::Director->value => $directors];
        $details = $texts = [];
        // By what others call it, it is found again: in a text of LaTeX, in another program.
        if (\is_string($item['id'] ?? null) && preg_match('/\A[\w:.+-]{1,60}\z/', $item['id']) === 1 && !Ulid::isValid($item['id'])) {
            $details[Detail::CitationKey->value] = $item['id'];
        }
        foreach ($item as $name => $value) {
            $name = self::ALIKE[$name] ?? (string) $name;
            $field = $name === 'number' && $kind === SourceKind::Report ? 'issue' : self::FIELDS[$name] ?? null;
            $detail = $field === null ? Detail::tryFrom($name) : null;
            $role = Contributor::tryFrom($name);
            if ($role !== null) {
                $contributors += $role === Contributor::Director ? [] : [$role->value => $this->people($value)];

                continue;
            }
            if ($detail !== null) {
                $details[$name] ??= $detail->isDate() ? self::date($value)?->stored() ?? '' : strip_tags(self::text($value));

                continue;
            }
            $value = self::text($value);
            if ($field === null) {
                $this->unknown += \in_array($name, self::PASSED, true) ? [] : [mb_strimwidth(mb_scrub((string) $name), 0, 40, '…') => true];
            } elseif ($value !== '') {
                $texts[$field] = isset($texts[$field]) && $field === 'remark' ? "{$texts[$field]}\n{$value}" : $texts[$field] ?? $value;
            }
        }
        if ($title === '' && $authors === [] && !isset($texts['url'])) {
            return null;
        }
        preg_match_all('/<span class="nocase">(.*?)<\/span>/', $title, $kept);
        $texts['capitals'] = implode(', ', $kept[1]);

        return SourceFields::source(
            $id,
            strip_tags($title),
            $kind,
            $authors,
            $this->people($item['editor'] ?? []),
            self::date($item['issued'] ?? null),
            self::date($item['accessed'] ?? null),
            $texts,
            $contributors,
            array_filter($details, static fn(string $text): bool => $text !== ''),
        );
    }

    private static function text(mixed $value): string
    {
        return \is_string($value) ? $value : (\is_int($value) || \is_float($value) ? (string) $value : '');
    }

    /** @return list<Person> */
    private function people(mixed $names): array
    {
        $people = [];
        foreach (\is_array($names) ? $names : [] as $name) {
            if (!\is_array($name)) {
                continue;
            }
            $literal = self::text($name['literal'] ?? '');
            $family = self::text($name['family'] ?? '');
            $given = self::text($name['given'] ?? '');
            $particle = trim(self::text($name['dropping-particle'] ?? '') . ' ' . self::text($name['non-dropping-particle'] ?? ''));
            if ($literal !== '' || $family !== '' || $given !== '') {
                $people[]
                    = $literal !== ''
                        ? new Person($literal)
                        : ($particle === '' && !isset($name['suffix'])
                            ? Person::of($family === '' ? $given : $family, $family === '' ? '' : $given)
                            : new Person($family, $given, $particle, self::text($name['suffix'] ?? '')));
            }
        }

        return $people;
    }

    private static function date(mixed $date): ?PartialDate
    {
        if (!\is_array($date)) {
            return null;
        }
        $parts
            = \is_array($date['date-parts'] ?? null) && \is_array($date['date-parts'][0] ?? null)
                ? array_map(static fn(mixed $part): int => (int) self::text($part), $date['date-parts'][0])
                : [];
        if ($parts === [] || $parts[0] === 0) {
            return PartialDate::typed(self::text($date['raw'] ?? ($date['literal'] ?? '')));
        }

        return PartialDate::on($parts[0], $parts[1] ?? 0, $parts[2] ?? 0, (bool) ($date['circa'] ?? false));
    }
}
