<?php

declare(strict_types=1);

namespace Embrel\Reader\Csl;

use Embrel\Citation\Contributor;
use Embrel\Citation\Csl\Item;
use Embrel\Citation\Detail;
use Embrel\Citation\Exchange\CslJson;
use Embrel\Citation\PartialDate;
use Embrel\Citation\Person;
use Embrel\Citation\Source;
use Embrel\Citation\SourceKind;
use Embrel\Id\Ulid;
use Embrel\Reader\SourceFields;

/** A source out of one item of CSL-JSON. */
final class CslItem
{
    private const PASSED = ['id', 'type', 'title', 'author', 'editor', 'director', 'issued', 'accessed', 'categories', 'custom'];

    /**
     * @param array<array-key, mixed> $item
     * @param string                  $id      that it gets here
     * @param array<string, true>     $unknown names that we do not know, which are added
     *
     * @return Source|null null: it has neither a title nor an author
     */
    public static function source(array $item, string $id, array &$unknown = []): ?Source
    {
        $title = self::text($item['title'] ?? '');
        $type = \is_string($item['type'] ?? null) ? $item['type'] : '';
        $kind = SourceKind::ofType($type) ?? SourceKind::Other;
        $directors = self::people($item['director'] ?? []);
        $authors = self::people($item['author'] ?? []);
        // Of a film its directors stand for it; of anything else they are named beside its authors.
        $isDirected = $kind === SourceKind::Film || $authors === [];
        $authors = $isDirected ? [...$authors, ...$directors] : $authors;
        $contributors = $isDirected || $directors === [] ? [] : [Contributor::Director->value => $directors];
        $details = $texts = [];
        // By what others call it, it is found again: in a text of LaTeX, in another program.
        if (\is_string($item['id'] ?? null) && preg_match('/\A[\w:.+-]{1,60}\z/', $item['id']) === 1 && !Ulid::isValid($item['id'])) {
            $details[Detail::CitationKey->value] = $item['id'];
        }
        $fields = array_flip(array_diff_key(CslJson::FIELDS, ['title' => 1]));
        foreach ($item as $name => $value) {
            $name = Item::ALIKE[$name] ?? (string) $name;
            $field = $name === 'number' && $kind === SourceKind::Report ? 'issue' : $fields[$name] ?? null;
            $detail = $field === null ? Detail::tryFrom($name) : null;
            $role = Contributor::tryFrom($name);
            if ($role !== null) {
                $contributors += $role === Contributor::Director ? [] : [$role->value => self::people($value)];

                continue;
            }
            if ($detail !== null) {
                $details[$name] ??= $detail->isDate() ? self::date($value)?->stored() ?? '' : strip_tags(self::text($value));

                continue;
            }
            $value = self::text($value);
            if ($field === null) {
                $unknown += \in_array($name, self::PASSED, true) ? [] : [mb_strimwidth(mb_scrub((string) $name), 0, 40, '…') => true];
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
            self::people($item['editor'] ?? []),
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
    private static function people(mixed $names): array
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
