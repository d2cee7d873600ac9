<?php

declare(strict_types=1);

namespace Embrel\Citation\Csl;

/** A source in the words of the standard: CSL-JSON, each of its values read once. */
final class Item
{
    public const NAMES = [
        'author', 'chair', 'collection-editor', 'compiler', 'composer', 'container-author', 'contributor', 'curator',
        'director', 'editor', 'editor-translator', 'editorial-director', 'executive-producer', 'guest', 'host',
        'illustrator', 'interviewer', 'narrator', 'organizer', 'original-author', 'performer', 'producer', 'recipient',
        'reviewed-author', 'script-writer', 'series-creator', 'translator',
    ];
    public const DATES = ['accessed', 'available-date', 'container', 'event-date', 'issued', 'original-date', 'submitted'];
    public const NUMBERS = [
        'chapter-number', 'citation-number', 'collection-number', 'edition', 'first-reference-note-number', 'issue',
        'locator', 'number', 'number-of-pages', 'number-of-volumes', 'page', 'page-first', 'part-number',
        'printing-number', 'section', 'supplement-number', 'version', 'volume',
    ];
    /** What older files call otherwise → its name. */
    public const ALIKE = ['journalAbbreviation' => 'container-title-short', 'shortTitle' => 'title-short', 'event' => 'event-title'];

    /** @var array<string, true> */
    private static array $isName = [];

    /** @var array<string, true> */
    private static array $isDate = [];

    /** @var array<string, string> variable → its text as it was given */
    public readonly array $texts;

    /** @var array<string, list<Name>> */
    public readonly array $names;

    /** @var array<string, Date> */
    public readonly array $dates;

    public readonly string $type;

    public readonly string $language;

    /** @var array<string, true> variables that say something */
    public readonly array $has;

    /** Its type and what it says: items of one shape are printed by the same part of a style. */
    public readonly string $shape;

    /** @var array<int, string> what elements of the style say of it, by the element */
    public array $kept = [];

    /** @var array<string, array{string, FirstNames}> the same of lists of names */
    public array $keptNames = [];

    /** @var array<string, true> which of them have initials that tell a name from others */
    public array $keptInitials = [];

    /** @var array<string, string> variable → its text as Flat knows it */
    private array $rich = [];

    /** @param array<array-key, mixed> $json */
    public function __construct(public readonly string $id, array $json)
    {
        $texts = $names = $dates = [];
        self::$isName = self::$isName ?: array_fill_keys(self::NAMES, true);
        self::$isDate = self::$isDate ?: array_fill_keys(self::DATES, true);
        foreach ($json as $variable => $value) {
            $variable = (string) $variable;
            if (isset(self::$isName[$variable])) {
                foreach (\is_array($value) ? $value : [] as $name) {
                    $name = $name instanceof Name ? $name : (\is_array($name) ? Name::of($name) : null);
                    if ($name !== null && $name->family . $name->given . $name->literal !== '') {
                        $names[$variable][] = $name;
                    }
                }
            } elseif (isset(self::$isDate[$variable])) {
                $date = $value instanceof Date ? $value : Date::of($value);
                if ($date !== null && !$date->isEmpty()) {
                    $dates[$variable] = $date;
                }
            } elseif (\is_scalar($value) && !\is_bool($value) && trim((string) $value) !== '') {
                $texts[self::ALIKE[$variable] ?? (string) $variable] = Rich::clean((string) $value);
            }
        }
        if (isset($texts['page']) && !isset($texts['page-first'])) {
            $texts['page-first'] = preg_split('/\s*(?:[-–,&]|\band\b)\s*/u', $texts['page'], 2)[0] ?? '';
        }
        $this->type = isset($json['type']) && \is_string($json['type']) ? $json['type'] : 'document';
        $this->language = strtolower($texts['language'] ?? '');
        $this->texts = $texts;
        $this->names = $names;
        $this->dates = $dates;
        $this->has = array_fill_keys([...array_keys($texts), ...array_keys($names), ...array_keys($dates)], true);
        $this->shape = "{$this->type} " . implode(' ', array_keys($this->has));
    }

    /** Forgets what it said in a style: what is kept goes by that style's own elements and quotation marks. */
    public function begin(): void
    {
        $this->rich = $this->kept = $this->keptNames = $this->keptInitials = [];
    }

    /** @param array{string, string, string, string} $quotes */
    public function rich(string $variable, array $quotes): string
    {
        return $this->rich[$variable] ??= Rich::of($this->texts[$variable], $quotes);
    }
}
