<?php

declare(strict_types=1);

namespace Embrel\Writer\Sources;

use Embrel\Citation\Detail;
use Embrel\Citation\Exchange\EndNote;
use Embrel\Citation\Source;
use Embrel\Citation\SourceKind;

/** Sources as EndNote XML. */
final class EndNoteWriter
{
    /** @param list<Source> $sources */
    public static function written(array $sources): string
    {
        $xml = new \XMLWriter();
        $xml->openMemory();
        $xml->setIndent(true);
        $xml->startDocument('1.0', 'UTF-8');
        $xml->startElement('xml');
        $xml->startElement('records');
        foreach ($sources as $n => $source) {
            $xml->startElement('record');
            $xml->writeElement('rec-number', (string) ($n + 1));
            self::record($xml, $source);
            $xml->endElement();
        }
        $xml->endElement();
        $xml->endElement();

        return $xml->outputMemory();
    }

    private static function record(\XMLWriter $xml, Source $source): void
    {
        [$number, $name] = [13, 'Generic'];
        foreach (EndNote::KINDS as $called => [$of, $kind]) {
            if ($kind === $source->kind) {
                [$number, $name] = [$of, $called];

                break;
            }
        }
        $xml->startElement('ref-type');
        $xml->writeAttribute('name', $name);
        $xml->text((string) $number);
        $xml->endElement();
        self::contributors($xml, $source);
        $paths = [];
        foreach (EndNote::FIELDS as $path => $field) {
            $paths[$path] = $source->text($field);
        }
        // Each stands once: the second names are for reading.
        unset($paths['periodical/full-title'], $paths['urls/web-urls/url']);
        foreach (EndNote::DETAILS as $path => $detail) {
            $paths[$path] = $path === 'periodical/abbr-1' ? '' : $source->detail($detail);
        }
        $paths['isbn'] = $source->isbn === '' ? $source->detail(Detail::Issn) : $source->isbn;
        $date = $source->date;
        $paths['dates/year'] = $date === null ? '' : ($date->circa || $date->year === null ? $date->stored() : (string) $date->year);
        $paths['dates/pub-dates/date'] = $date?->month === null ? '' : $date->stored();
        $paths['access-date'] = $source->accessed?->stored() ?? '';
        $paths[EndNote::KIND] = $name === 'Generic' && $source->kind !== SourceKind::Other ? $source->kind->value : '';
        self::elements($xml, $paths);
    }

    private static function contributors(\XMLWriter $xml, Source $source): void
    {
        $all = ['authors' => $source->authors, 'secondary-authors' => $source->editors];
        foreach (EndNote::CONTRIBUTORS as $name => $role) {
            $all[$name] = $source->contributors[$role->value] ?? [];
        }
        $all = array_filter($all, static fn(array $people): bool => $people !== []);
        if ($all === []) {
            return;
        }
        $xml->startElement('contributors');
        foreach ($all as $name => $people) {
            $xml->startElement($name);
            foreach ($people as $person) {
                // A comma at the end says that it is an organisation.
                $xml->writeElement('author', $person->inverted() . ($person->given === '' ? ',' : ''));
            }
            $xml->endElement();
        }
        $xml->endElement();
    }

    /** @param array<string, string> $paths of elements, those of one parent together → text */
    private static function elements(\XMLWriter $xml, array $paths): void
    {
        $groups = [];
        foreach (array_filter($paths, static fn(string $text): bool => $text !== '') as $path => $text) {
            [$name, $rest] = explode('/', $path, 2) + [1 => ''];
            $groups[$name][$rest] = $text;
        }
        foreach ($groups as $name => $within) {
            if (isset($within[''])) {
                $xml->writeElement($name, $within['']);

                continue;
            }
            $xml->startElement($name);
            if ($name === 'keywords') {
                foreach (explode('; ', $within['keyword'] ?? '') as $word) {
                    $xml->writeElement('keyword', $word);
                }
            } else {
                self::elements($xml, $within);
            }
            $xml->endElement();
        }
    }
}
