<?php

declare(strict_types=1);

namespace App\Http;

use App\Store\PlanView;
use Embrel\Citation\Contributor;
use Embrel\Citation\Detail;
use Embrel\Citation\Manual;
use Embrel\Citation\SourceKind;
use Embrel\Citation\StyleTable;
use Embrel\Layout\Map\Form;
use Embrel\Layout\Map\Lettering;
use Embrel\Layout\Map\Paper;
use Embrel\Layout\Map\Signs;
use Embrel\Layout\Map\Stalk;
use Embrel\Layout\Map\Style;
use Embrel\Limits;
use Embrel\Operation\SortBy;
use Embrel\Plan\Again;
use Embrel\Plan\Arrows;
use Embrel\Plan\Dye;
use Embrel\Plan\Field;
use Embrel\Plan\Flag;
use Embrel\Plan\Kind;
use Embrel\Plan\Label;
use Embrel\Plan\Numbered;
use Embrel\Plan\Scheme;
use Embrel\Plan\Size;
use Embrel\Plan\Work;
use Embrel\RichText\Schema;
use Embrel\Writer\SourceFormat;

/** The words of the core's own rules and how each is called, for the page: no list of them stands in a script. */
final class Vocabulary
{
    /** Places of the table of keys → how they are called. */
    public const PLACES = [
        'anywhere' => 'Anywhere',
        'title' => 'Writing a title',
        'row' => 'A marked row (not writing)',
        'map' => 'The map: as in a marked row, and',
        'gather-field' => 'Gather, typing ideas',
        'gather-idea' => 'Gather, an idea is marked',
        'gather-place' => 'Gather, choosing the place',
        'note' => 'A note',
        'draft' => 'The draft',
        'research' => 'Sorting out the research',
        'check' => 'Check, on a finding',
        'schedule' => 'The schedule, on a row',
        'present' => 'Present',
    ];
    private const SCHEMES = [
        'decimal' => ['1 · 1.1', '1 · 1.1 · 1.1.1'],
        'essay' => ['I. · A.', 'I. · A. · 1. · a.'],
        'chapter' => ['Chapter 1', 'Chapter 1 · 1.1'],
        'none' => ['none', 'No numbers'],
        'own' => ['own…', 'Of one’s own'],
    ];
    /** Field of a source → how it is called, and an example of it. */
    private const SOURCE_FIELDS = [
        'title' => ['Title', ''],
        'authors' => ['Authors', ''],
        'editors' => ['Editors', ''],
        'date' => ['Date', '1994, c. 1890, 3 May 2024'],
        'container' => ['Title of the whole', ''],
        'publisher' => ['Publisher', ''],
        'place' => ['Place', ''],
        'edition' => ['Edition', ''],
        'volume' => ['Volume', ''],
        'issue' => ['Number', ''],
        'pages' => ['Pages', '10-20'],
        'isbn' => ['ISBN', ''],
        'url' => ['Address', 'https://'],
        'accessed' => ['Read on', '3 May 2024'],
        'doi' => ['DOI', ''],
        'language' => ['Language', 'en'],
        'capitals' => ['Names in the title that keep their capitals', 'Harrow Creek'],
        'remark' => ['Remark, for yourself', ''],
    ];
    /** Kind of source → what its fields are called otherwise. */
    private const SOURCE_FIELDS_OF_KIND = [
        'article' => ['container' => 'Journal'],
        'newspaper' => ['container' => 'Newspaper'],
        'chapter' => ['container' => 'Book'],
        'web' => ['container' => 'Site'],
        'thesis' => ['publisher' => 'University'],
        'film' => ['publisher' => 'Company', 'authors' => 'Directors'],
        'interview' => ['authors' => 'Who was asked'],
        'report' => ['publisher' => 'Institution'],
    ];
    /** Operation → how a change is called that could not be made. */
    private const CHANGES = [
        'add' => 'New topics',
        'move' => 'A move',
        'retitle' => 'A title',
        'split' => 'A split title',
        'note' => 'Words in a note',
        'join' => 'Two titles joined',
        'wrap' => 'A new parent',
        'copy' => 'A copy',
        'restore' => 'Topics brought back',
    ];
    private const NUMBERED = ['usual' => 'Number', 'none' => 'No number', 'appendix' => 'Appendix'];
    private const ARROWS = ['none' => 'no arrow', 'end' => 'towards the second', 'start' => 'towards the first', 'both' => 'both ways'];
    private const SORTS = ['title' => 'Title', 'words' => 'Words', 'target' => 'Target'];

    /** @return array<string, mixed> */
    public static function all(): array
    {
        return [
            'fields' => array_column(array_filter(Field::cases(), static fn(Field $field): bool => $field->isSet()), 'value'),
            'usual' => PlanView::usual(),
            'kinds' => array_column(Kind::cases(), 'value'),
            'flags' => self::named(Flag::cases(), static fn(Flag $flag): string => str_replace('-', ' ', $flag->value)),
            'dyes' => Dye::NAMES,
            'schemes' => array_map(static fn(array $names): array => ['short' => $names[0], 'name' => $names[1]], self::schemes()),
            'numbered' => self::named(Numbered::cases(), static fn(Numbered $numbered): string => self::NUMBERED[$numbered->value]),
            'sizes' => self::sizes(),
            'levelsOnMap' => range(1, 5),
            'arrows' => self::named(Arrows::cases(), static fn(Arrows $arrows): string => self::ARROWS[$arrows->value]),
            'again' => self::named(Again::cases(), static fn(Again $again): string => "each {$again->value}"),
            'sorts' => self::named(SortBy::cases(), static fn(SortBy $by): string => self::SORTS[$by->value]),
            'levels' => range(1, 9),
            'limits' => [
                'title' => Limits::TITLE,
                'target' => Limits::TARGET_WORDS,
                'label' => Label::LENGTH,
                'labels' => Label::MOST,
                'who' => Work::NAME,
                'comment' => Limits::COMMENT,
            ],
            'changes' => self::CHANGES,
            'blocks' => Schema::BLOCK,
            'places' => self::PLACES,
            'citationStyles' => array_map(static fn(array $one): string => $one[0], StyleTable::ALL),
            'usualCitationStyles' => array_column(Manual::cases(), 'value'),
            'sourceFormats' => self::named(SourceFormat::cases(), static fn(SourceFormat $format): string => $format->label()),
            'sourceFields' => array_map(
                static fn(array $field): array => ['name' => $field[0], 'hint' => $field[1]],
                self::SOURCE_FIELDS,
            ),
            'sourceContributors' => self::named(Contributor::cases(), static fn(Contributor $one): string => $one->label()),
            'sourceDetails' => array_combine(array_column(Detail::cases(), 'value'), array_map(
                static fn(Detail $one): array => [
                    'name' => $one->label(),
                    'hint' => $one->hint(),
                    'date' => $one->isDate(),
                    'long' => $one->isLong(),
                ],
                Detail::cases(),
            )),
            'sourceKinds' => array_map(
                static fn(SourceKind $kind): array => [
                    'value' => $kind->value,
                    'name' => $kind->label(),
                    'group' => $kind->group(),
                    'fields' => $kind->fields(),
                    'contributors' => array_column($kind->contributors(), 'value'),
                    'details' => array_column($kind->details(), 'value'),
                    'names' => (object) (self::SOURCE_FIELDS_OF_KIND[$kind->value] ?? []),
                ],
                SourceKind::cases(),
            ),
            'mapSigns' => ['note' => Signs::NOTE, 'flags' => Signs::FLAGS],
            'mapStyles' => self::named(Style::cases(), static fn(Style $style): string => $style->name()),
            'mapDresses' => array_combine(
                array_column(Style::cases(), 'value'),
                array_map(static fn(Style $style): array => $style->dress()->toArray(), Style::cases()),
            ),
            'mapForms' => self::named(Form::cases(), static fn(Form $form): string => $form->label()),
            'mapStalks' => self::named(Stalk::cases(), static fn(Stalk $stalk): string => $stalk->label()),
            'mapLetterings' => self::named(Lettering::cases(), static fn(Lettering $lettering): string => $lettering->label()),
            'mapPapers' => self::named(Paper::cases(), static fn(Paper $paper): string => $paper->label()),
        ];
    }

    /** @return list<array{string|null, string}> size → how it is called, the smallest first; null: none of its own */
    private static function sizes(): array
    {
        $sizes = Size::cases();
        usort($sizes, static fn(Size $a, Size $b): int => $a->factor() <=> $b->factor());
        $named = array_map(static fn(Size $size): array => [$size->value, $size->value], $sizes);
        array_splice($named, 1, 0, [[null, 'as its level']]);

        return $named;
    }

    /** @return array<string, array{string, string}> scheme → short, and how it goes on */
    private static function schemes(): array
    {
        return array_intersect_key(self::SCHEMES, array_flip(array_column(Scheme::cases(), 'value')));
    }

    /**
     * @template T of \BackedEnum
     *
     * @param list<T>             $cases
     * @param \Closure(T): string $name
     *
     * @return array<string, string> value → how it is called
     */
    private static function named(array $cases, \Closure $name): array
    {
        return array_combine(array_map(static fn(\BackedEnum $case): string => (string) $case->value, $cases), array_map($name, $cases));
    }
}
