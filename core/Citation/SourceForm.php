<?php

declare(strict_types=1);

namespace Embrel\Citation;

use Embrel\Limits;
use Embrel\MalformedShape;
use Embrel\RichText\Schema;
use Embrel\RichText\Text;
use Embrel\Shape;

/** The storage form of a source: what is empty is left out. Reading is checking. */
final class SourceForm
{
    private const PEOPLE = ['authors', 'editors'];
    private const DATES = ['date', 'accessed'];

    /** @return array<string, mixed> */
    public static function toArray(Source $source): array
    {
        $out
            = ['id' => $source->id, 'title' => $source->title]
            + ($source->kind === SourceKind::Other ? [] : ['kind' => $source->kind->value]);
        foreach (self::PEOPLE as $role) {
            $people = $role === 'authors' ? $source->authors : $source->editors;
            $out += $people === [] ? [] : [$role => array_map(self::person(...), $people)];
        }
        foreach (self::DATES as $field) {
            $date = $source->{$field};
            $out += $date instanceof PartialDate ? [$field => $date->stored()] : [];
        }
        foreach (Source::TEXTS as $field) {
            $out += $source->text($field) === '' ? [] : [$field => $source->text($field)];
        }
        foreach ($source->contributors as $role => $people) {
            $out['contributors'][$role] = array_map(self::person(...), $people);
        }

        return $out + ($source->details === [] ? [] : ['details' => $source->details]);
    }

    /** @return array<string, string> */
    private static function person(Person $person): array
    {
        return array_filter(
            ['family' => $person->family, 'given' => $person->given, 'particle' => $person->particle, 'suffix' => $person->suffix],
            static fn(string $part): bool => $part !== '',
        );
    }

    /** @throws MalformedShape */
    public static function read(Shape $form): Source
    {
        $known = ['id', 'kind', 'contributors', 'details', ...self::PEOPLE, ...self::DATES, ...Source::TEXTS];
        $unknown = array_diff_key($form->values(), array_flip($known));
        if ($unknown !== []) {
            throw MalformedShape::expected('a field of a source', 'source.' . mb_strimwidth((string) array_key_first($unknown), 0, 40));
        }
        $kind = $form->stringOr('kind', SourceKind::Other->value) ?? '';
        $fields = ['kind' => SourceKind::tryFrom($kind) ?? throw MalformedShape::expected('a kind of source', 'source.kind')];
        foreach (self::PEOPLE as $role) {
            $fields[$role] = $form->has($role) ? self::people($form, $role) : [];
        }
        foreach (self::DATES as $field) {
            $fields[$field] = PartialDate::of(self::line($form, $field, Limits::SOURCE_DATE));
        }
        foreach (array_diff(Source::TEXTS, ['title']) as $field) {
            $fields[$field]
                = $field === 'remark'
                    ? self::checked(Text::cleaned($form->stringOr($field, '') ?? ''), $field, Limits::SOURCE_REMARK)
                    : self::line($form, $field, Limits::SOURCE_TEXT);
        }
        $fields['contributors'] = $form->has('contributors') ? self::contributors($form->object('contributors')) : [];
        $fields['details'] = $form->has('details') ? self::details($form->object('details')) : [];
        $url = self::line($form, 'url', Limits::SOURCE_TEXT);
        if ($url !== '' && !Schema::isSafeLink($url)) {
            throw MalformedShape::expected('an address of the web', 'source.url');
        }

        return (new Source($form->id('id'), self::line($form, 'title', Limits::TITLE)))->with($fields);
    }

    /**
     * @return array<string, list<Person>>
     *
     * @throws MalformedShape
     */
    private static function contributors(Shape $form): array
    {
        $out = [];
        foreach (array_keys($form->values()) as $name) {
            $role = Contributor::tryFrom((string) $name)
                ?? throw MalformedShape::expected('what somebody did', 'source.contributors.' . mb_strimwidth((string) $name, 0, 40));
            $people = self::people($form, $role->value);
            $out += $people === [] ? [] : [$role->value => $people];
        }

        return $out;
    }

    /**
     * @return array<string, string>
     *
     * @throws MalformedShape
     */
    private static function details(Shape $form): array
    {
        $out = [];
        foreach (array_keys($form->values()) as $name) {
            $detail = Detail::tryFrom((string) $name)
                ?? throw MalformedShape::expected('a detail of a source', 'source.details.' . mb_strimwidth((string) $name, 0, 40));
            $text = match (true) {
                $detail->isDate() => PartialDate::of(self::line($form, $detail->value, Limits::SOURCE_DATE))?->stored() ?? '',
                $detail->isLong() => self::checked(Text::cleaned($form->string($detail->value)), $detail->value, Limits::SOURCE_REMARK),
                default => self::line($form, $detail->value, Limits::SOURCE_TEXT),
            };
            $out += $text === '' ? [] : [$detail->value => $text];
        }

        return $out;
    }

    /**
     * @return list<Person>
     *
     * @throws MalformedShape
     */
    private static function people(Shape $form, string $role): array
    {
        $people = [];
        foreach ($form->objects($role) as $row) {
            $parts = [];
            foreach (['family', 'given', 'particle', 'suffix'] as $part) {
                $parts[$part] = self::line($row, $part, Limits::SOURCE_NAME);
            }
            if ($parts['family'] !== '' || $parts['given'] !== '') {
                $people[] = $parts['family'] === '' ? new Person($parts['given']) : new Person(...$parts);
            }
        }

        return \count($people) <= Limits::SOURCE_PEOPLE
            ? $people
            : throw MalformedShape::expected('at most ' . Limits::SOURCE_PEOPLE . ' people', "source.{$role}");
    }

    private static function line(Shape $form, string $field, int $longest): string
    {
        return self::checked(Text::line($form->stringOr($field, '') ?? ''), $field, $longest);
    }

    private static function checked(string $text, string $field, int $longest): string
    {
        return mb_strlen($text) <= $longest ? $text : throw MalformedShape::expected("at most {$longest} characters", "source.{$field}");
    }
}
