<?php

declare(strict_types=1);

namespace Tests\Core;

use Embrel\Citation\Csl\Cite;
use Embrel\Citation\Csl\CslError;
use Embrel\Citation\Csl\Item;
use Embrel\Citation\Csl\Locales;
use Embrel\Citation\Csl\Numbers;
use Embrel\Citation\Csl\Processor;
use Embrel\Citation\Csl\Spans;
use Embrel\Citation\Csl\StyleReader;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** One row a rule of CSL 1.0.2, named as its specification has it. Italic runs stand between asterisks. */
final class CslTest extends TestCase
{
    private const ENGLISH = <<<'XML'
        <locale xmlns="http://purl.org/net/xbiblio/csl" version="1.0" xml:lang="en-US">
          <style-options punctuation-in-quote="true"/>
          <date form="text"><date-part name="month" suffix=" "/><date-part name="day" suffix=", "/><date-part name="year"/></date>
          <terms>
            <term name="and">and</term><term name="et-al">et al.</term><term name="ibid">ibid.</term>
            <term name="no date" form="short">n.d.</term><term name="bc">BC</term><term name="ad">AD</term>
            <term name="page"><single>page</single><multiple>pages</multiple></term>
            <term name="page" form="short"><single>p.</single><multiple>pp.</multiple></term>
            <term name="editor" form="short"><single>ed.</single><multiple>eds.</multiple></term>
            <term name="editortranslator" form="short"><single>ed. &amp; tran.</single><multiple>eds. &amp; trans.</multiple></term>
            <term name="open-quote">“</term><term name="close-quote">”</term>
            <term name="open-inner-quote">‘</term><term name="close-inner-quote">’</term>
            <term name="month-05">May</term><term name="month-06">June</term><term name="season-02">Summer</term>
            <term name="ordinal">th</term><term name="ordinal-01">st</term><term name="ordinal-02">nd</term>
            <term name="ordinal-03">rd</term>
            <term name="ordinal-11">th</term><term name="ordinal-12">th</term><term name="ordinal-13">th</term>
            <term name="long-ordinal-02">second</term>
          </terms>
        </locale>
        XML;
    private const ITEM = [
        'type' => 'book',
        'title' => 'Tides and walls',
        'author' => [['family' => 'Pell', 'given' => 'Anna Lou']],
        'issued' => ['date-parts' => [[1994, 5, 3]]],
        'publisher' => 'Creekside Press',
    ];

    /** @param array<string, mixed> $item over the usual one; null takes a field away */
    #[DataProvider('rules')]
    public function testEachRuleOfTheSpecificationIsCarriedOut(
        string $layout,
        string $expected,
        array $item = [],
        string $attributes = '',
    ): void {
        $item = array_filter($item + self::ITEM, static fn(mixed $value): bool => $value !== null);
        $printed = self::printed(self::style('<text variable="title"/>', $layout, $attributes), ['a' => $item], [[['a']]]);

        self::assertSame($expected, $printed['list'][0]);
    }

    /** @return iterable<string, array{0: string, 1: string, 2?: array<string, mixed>, 3?: string}> */
    public static function rules(): iterable
    {
        $people = static fn(string ...$names): array => [
            'author' => array_map(static fn(string $name): array => array_combine(['family', 'given'], explode(', ', $name)), $names),
        ];
        $three = $people('Pell, Anna Lou', 'Moor, Ada', 'Vane, Ed');
        $vanGogh = ['author' => [['family' => 'Meer', 'given' => 'Jan', 'non-dropping-particle' => 'van der']]];
        $names = static fn(string $name): string => "<names variable=\"author\">{$name}</names>";

        yield 'text: a variable' => ['<text variable="publisher"/>', 'Creekside Press'];
        yield 'text: what is not there says nothing' => ['<text variable="volume" prefix="vol. "/>', ''];
        yield 'group: a term without its variable is not said' => [
            '<group delimiter=" "><text term="page"/><text variable="page"/></group><text variable="title"/>',
            'Tides and walls',
        ];
        yield 'group: a term alone is said' => ['<text variable="title"/><group prefix=", "><text term="ibid"/></group>', 'Tides and walls, ibid.'];
        yield 'choose: types' => ['<choose><if type="thesis book" match="any"><text value="B"/></if><else><text value="E"/></else></choose>', 'B'];
        yield 'choose: none' => [
            '<choose><if variable="page volume" match="none"><text value="N"/></if><else><text value="E"/></else></choose>',
            'N',
        ];
        yield 'choose: is-numeric' => [
            '<choose><if is-numeric="edition"><number variable="edition" form="ordinal"/></if><else><text variable="edition"/></else></choose>',
            '22nd',
            ['edition' => '22'],
        ];
        yield 'choose: is-uncertain-date' => [
            '<choose><if is-uncertain-date="issued"><text value="c. "/></if></choose><date variable="issued" form="text" date-parts="year"/>',
            'c. 1994',
            ['issued' => ['date-parts' => [[1994]], 'circa' => true]],
        ];
        yield 'number: ordinals of 11 to 13' => ['<number variable="volume" form="ordinal"/>', '112th', ['volume' => '112']];
        yield 'number: long ordinals' => ['<number variable="volume" form="long-ordinal"/>', 'second', ['volume' => '2']];
        yield 'number: Roman' => ['<number variable="volume" form="roman"/>', 'mcmxciv', ['volume' => '1994']];
        yield 'number: what is none stays' => ['<number variable="edition" form="ordinal"/>', 'revised', ['edition' => 'revised']];
        yield 'label: one and several' => [
            '<label variable="page" form="short" suffix=" "/><text variable="page"/>',
            'pp. 3–9',
            ['page' => '3-9'],
        ];
        yield 'name: as it is spoken' => [$names('<name/>'), 'Anna Lou Pell'];
        yield 'name: the short form of one who has no family name' => [
            $names('<name form="short"/>') . '<text variable="title"/>',
            'Tides and walls',
            ['author' => [['given' => 'Madonna']]],
        ];
        yield 'title case: a small word behind a short form' => [
            '<text variable="publisher" text-case="title"/>',
            'Ed. and Translator',
            ['publisher' => 'ed. and translator'],
        ];
        yield 'name: turned' => [$names('<name name-as-sort-order="all"/>'), 'Pell, Anna Lou'];
        yield 'name: initials' => [$names('<name initialize-with=". "/>'), 'A. L. Pell'];
        yield 'name: initials with a hyphen' => [$names('<name initialize-with="."/>'), 'J.-L. Pell', $people('Pell, Jean-Luc')];
        yield 'name: initials alone, where names are not shortened' => [
            $names('<name initialize="false" initialize-with="."/>'),
            'Anna L. Pell',
            $people('Pell, Anna L'),
        ];
        yield 'name: and, the delimiter before the last by how many there are' => [
            $names('<name and="text"/>'),
            'Anna Lou Pell, Ada Moor, and Ed Vane',
            $three,
        ];
        yield 'name: delimiter-precedes-last never' => [
            $names('<name and="symbol" delimiter-precedes-last="never"/>'),
            'Anna Lou Pell, Ada Moor & Ed Vane',
            $three,
        ];
        yield 'name: only the first turned, and the delimiter after it' => [
            $names('<name and="text" name-as-sort-order="first" delimiter-precedes-last="after-inverted-name"/>'),
            'Pell, Anna Lou, and Ada Moor',
            $people('Pell, Anna Lou', 'Moor, Ada'),
        ];
        yield 'name: et al.' => [$names('<name form="short" et-al-min="3" et-al-use-first="1"/>'), 'Pell et al.', $three];
        yield 'name: et al. after two' => [$names('<name form="short" et-al-min="3" et-al-use-first="2"/>'), 'Pell, Moor, et al.', $three];
        yield 'name: the last after an ellipsis' => [
            $names('<name form="short" et-al-min="4" et-al-use-first="2" et-al-use-last="true"/>'),
            'Pell, Moor, … Lund',
            $people('Pell, A', 'Moor, A', 'Vane, E', 'Orr, K', 'Lund, I'),
        ];
        yield 'name: a particle that stays' => [
            $names('<name name-as-sort-order="all"/>'),
            'van der Meer, Jan',
            $vanGogh,
            'demote-non-dropping-particle="never"',
        ];
        yield 'name: a particle that is left behind' => [
            $names('<name name-as-sort-order="all"/>'),
            'Meer, Jan van der',
            $vanGogh,
            'demote-non-dropping-particle="display-and-sort"',
        ];
        yield 'name: Chinese, the family first and no space' => [$names('<name initialize-with="."/>'), '王小明', $people('王, 小明')];
        yield 'name: Arabic' => [$names('<name name-as-sort-order="all"/>'), 'محفوظ, نجيب', $people('محفوظ, نجيب')];
        yield 'name: a body as it stands' => [
            $names('<name name-as-sort-order="all" initialize-with="."/>'),
            'Harrow Parish Council',
            ['author' => [['literal' => 'Harrow Parish Council']]],
        ];
        yield 'name: a suffix' => [
            $names('<name name-as-sort-order="all"/>'),
            'Ward, Eli, Jr.',
            ['author' => [['family' => 'Ward', 'given' => 'Eli', 'suffix' => 'Jr.']]],
        ];
        yield 'names: editors who translated, named once' => [
            '<names variable="editor translator" delimiter="; "><name/><label form="short" prefix=" (" suffix=")"/></names>',
            'Ada Moor (ed. & tran.)',
            ['editor' => [['family' => 'Moor', 'given' => 'Ada']], 'translator' => [['family' => 'Moor', 'given' => 'Ada']]],
        ];
        yield 'substitute: the first that says something, which is not said again' => [
            '<names variable="author"><name/><substitute><names variable="editor"/><text variable="title"/></substitute></names>'
                . '<text variable="title" prefix=". "/><text variable="publisher" prefix=". "/>',
            'Tides and walls. Creekside Press',
            ['author' => null],
        ];
        yield 'date: a day in the form of the locale' => ['<date variable="issued" form="text"/>', 'May 3, 1994'];
        yield 'date: a range within a month' => [
            '<date variable="issued" form="text"/>',
            'May 3–9, 1994',
            ['issued' => ['date-parts' => [[1994, 5, 3], [1994, 5, 9]]]],
        ];
        yield 'date: a range of months' => [
            '<date variable="issued" form="text"/>',
            'May–June 1994',
            ['issued' => ['date-parts' => [[1994, 5], [1994, 6]]]],
        ];
        yield 'date: a season' => [
            '<date variable="issued" form="text"/>',
            'Summer 1994',
            ['issued' => ['date-parts' => [[1994]], 'season' => 2]],
        ];
        yield 'date: before Christ' => ['<date variable="issued" form="text"/>', '44BC', ['issued' => ['date-parts' => [[-44]]]]];
        yield 'date: words' => ['<date variable="issued" form="text"/>', 'in press', ['issued' => ['literal' => 'in press']]];
        yield 'text-case: title' => [
            '<text variable="title" text-case="title"/>',
            'The Sea of the North: A Tale',
            ['title' => 'the sea of the north: a tale'],
        ];
        yield 'text-case: not of another language' => [
            '<text variable="title" text-case="title"/>',
            'die see im norden',
            ['title' => 'die see im norden', 'language' => 'de'],
        ];
        yield 'text-case: capitalize-all, but for a word with a capital of its own' => [
            '<text variable="title" text-case="capitalize-all"/>',
            'The Sea-Wall At iBoat Quay',
            ['title' => 'the sea-wall at iBoat quay'],
        ];
        yield 'text-case: what is marked stays' => [
            '<text variable="title" text-case="uppercase"/>',
            'ON eBay NOW',
            ['title' => 'on <span class="nocase">eBay</span> now'],
        ];
        yield 'number: a figure within another word is none' => ['<number variable="volume" form="ordinal"/>', '12A', ['volume' => '12A']];
        yield 'is-numeric: small Roman figures' => [
            '<choose><if is-numeric="page"><text value="N"/></if><else><text value="W"/></else></choose>',
            'N',
            ['page' => 'iv-ix'],
        ];
        yield 'group: a date that has none of the parts asked for says nothing' => [
            '<text variable="title"/><group prefix=", "><text term="page"/><date variable="issued"><date-part name="day"/></date></group>',
            'Tides and walls',
            ['issued' => ['date-parts' => [[1994]]]],
        ];
        yield 'delimiter-precedes-last: after-inverted-name, before a body too' => [
            $names('<name and="text" name-as-sort-order="first" delimiter-precedes-last="after-inverted-name"/>'),
            'Pell, Anna, and Creek Council',
            ['author' => [['family' => 'Pell', 'given' => 'Anna'], ['literal' => 'Creek Council']]],
        ];
        yield 'italic within italic is upright' => [
            '<text variable="title" font-style="italic"/>',
            '*The *Salicornia* of the coast*',
            ['title' => 'The <i>Salicornia</i> of the coast'],
        ];
        yield 'quotes turn within quotes' => [
            '<text variable="title" quotes="true"/>',
            '“The ‘low’ water”',
            ['title' => 'The "low" water'],
        ];
        yield 'a comma goes within the marks' => [
            '<text variable="title" quotes="true" suffix=", "/><text variable="publisher"/>',
            '“Tides and walls,” Creekside Press',
        ];
        yield 'a stop after a question is not said' => [
            '<text variable="title" suffix=". "/><text variable="publisher"/>',
            'Why walls? Creekside Press',
            ['title' => 'Why walls?'],
        ];
        yield 'a stop is not said twice' => ['<text variable="publisher" suffix="."/>', 'Creek Inc.', ['publisher' => 'Creek Inc.']];
        yield 'strip-periods' => ['<text variable="publisher" strip-periods="true"/>', 'Creek Inc', ['publisher' => 'Creek Inc.']];
        yield 'name-part: a particle behind the family name is set like it' => [
            $names('<name form="short" name-as-sort-order="all"><name-part name="family" text-case="uppercase"/></name>'),
            'MEER, VAN DER',
            $vanGogh,
            'demote-non-dropping-particle="display-and-sort"',
        ];
        yield 'name-part: one name alone has nothing around it that tells a given name' => [
            $names('<name><name-part name="given" prefix="(" suffix=")"/></name>'),
            'Madonna',
            ['author' => [['given' => 'Madonna']]],
        ];
        yield 'name-part: who stands in the place of others is set like them' => [
            '<names variable="author"><name><name-part name="family" font-style="italic"/></name>'
                . '<substitute><names variable="editor"><name delimiter="; "/></names></substitute></names>',
            'Ada *Moor*; Ed *Vane*',
            ['author' => null, 'editor' => [['family' => 'Moor', 'given' => 'Ada'], ['family' => 'Vane', 'given' => 'Ed']]],
        ];
        yield 'label: behind names where no name element follows it' => [
            '<names variable="editor"><label form="short" prefix=" (" suffix=")"/></names>',
            'Ada Moor (ed.)',
            ['editor' => [['family' => 'Moor', 'given' => 'Ada']]],
        ];
        yield 'delimiter-precedes-last: a body behind several goes by their number' => [
            $names('<name and="text" delimiter-precedes-last="after-inverted-name"/>'),
            'Anna Pell, Ada Moor, and Creek Council',
            ['author' => [...$people('Pell, Anna', 'Moor, Ada')['author'], ['literal' => 'Creek Council']]],
        ];
        yield 'group: words in the place of names are nothing that was found' => [
            '<text variable="title"/><group prefix=", by "><names variable="author"><name/><substitute><text term="ibid"/></substitute>'
                . '</names></group>',
            'Tides and walls',
            ['author' => null],
        ];
        yield 'group: the letter after a year is nothing that it waits for' => [
            '<group><text term="no date" form="short"/><text variable="year-suffix"/><text variable="volume"/></group>',
            'N.d.',
        ];
        yield 'a term that comes first is raised, not where names or a number are missing before it' => [
            '<names variable="editor"/><text term="no date" form="short"/>',
            'n.d.',
        ];
        yield 'a term that comes first is raised, and where names are missing in a group' => [
            '<group><names variable="editor"/></group><text variable="volume"/><text term="no date" form="short"/>',
            'n.d.',
        ];
        yield 'date: a season counted as a month has no word among figures' => [
            '<date variable="issued"><date-part name="month" form="numeric" suffix="."/><date-part name="year"/></date>',
            '1994',
            ['issued' => ['date-parts' => [[1994, 14]]]],
        ];
        yield 'a question keeps the stop that a value set apart has behind it' => [
            '<text variable="title" font-style="italic" suffix="."/>',
            '*Why walls?*.',
            ['title' => 'Why walls?'],
        ];
        yield 'a question in a group set apart takes the stop that stands between' => [
            '<group delimiter=". "><group font-style="italic"><text variable="title"/></group><text variable="publisher"/></group>',
            '*Why walls?* Creekside Press',
            ['title' => 'Why walls?'],
        ];
        yield 'a question that takes a stop leaves the colon behind it' => [
            '<group delimiter=": "><text variable="title" suffix="."/><text variable="publisher"/></group>',
            'Why walls?: Creekside Press',
            ['title' => 'Why walls?'],
        ];
        yield 'a mark behind a number meets no stop' => [
            '<group suffix="."><text variable="volume" suffix=":"/></group>',
            '2:.',
            ['volume' => '2'],
        ];
        yield 'a mark behind words in the place of a number meets a stop' => [
            '<group suffix="."><text variable="edition" suffix=":"/></group>',
            'revised:',
            ['edition' => 'revised'],
        ];
        yield 'a stop goes before the mark behind a value' => ['<group suffix="."><text variable="publisher" suffix=":"/></group>', 'Creekside Press.:'];
        yield 'words of the style stand as they are' => [
            '<text variable="publisher" quotes="true"/><text value=", no. 2."/><text value="."/>',
            '“Creekside Press”, no. 2..',
        ];
        yield 'straight marks open and shut, though a locale shuts with one' => [
            '<text variable="title" quotes="true"/>',
            '“The ‘low’ and the ‘high’ water”',
            ['title' => 'The "low" and the "high" water'],
        ];
        yield 'strip-periods: not from an address' => [
            '<text variable="DOI" strip-periods="true"/>',
            '10.5555/tn.0',
            ['DOI' => '10.5555/tn.0'],
        ];
        yield 'strip-periods: not from what stands around names' => [
            '<group strip-periods="true"><names variable="editor"><name/><label form="short" prefix=", " suffix="."/></names></group>',
            'Ada Moor, ed.',
            ['editor' => [['family' => 'Moor', 'given' => 'Ada']]],
        ];
        yield 'display: a mark below a block closes it' => [
            '<group display="block"><text variable="title"/></group><text variable="publisher" prefix=", "/>',
            'Tides and walls,Creekside Press',
        ];
        yield 'a source without anything' => [
            '<names variable="author"/><text variable="title"/><date variable="issued" form="text"/>',
            '',
            ['author' => null, 'title' => null, 'issued' => null],
        ];
    }

    /** @param list<list<array{0: string, 1?: string}>> $citations source and locator of each cite */
    #[DataProvider('works')]
    public function testCitationsKnowOfOneAnother(string $citation, string $attributes, array $citations, array $expected): void
    {
        $style = self::style($citation, '<names variable="author"><name/></names>', '', $attributes);

        self::assertSame($expected, self::printed($style, self::items(), $citations)['citations']);
    }

    /** @return iterable<string, array{string, string, list<list<array{0: string, 1?: string}>>, list<string>}> */
    public static function works(): iterable
    {
        $authorDate = '<group delimiter=" "><names variable="author"><name form="short" and="text" et-al-min="3" et-al-use-first="1"/></names>'
            . '<date variable="issued"><date-part name="year"/></date></group><text variable="locator" prefix=", "/>';
        $short = '<names variable="author"><name form="short"/></names>';

        yield 'disambiguate-add-year-suffix' => [
            $authorDate,
            'disambiguate-add-year-suffix="true"',
            [[['a']], [['b']]],
            ['(Pell 1994a)', '(Pell 1994b)'],
        ];
        yield 'disambiguate-add-names' => [
            $authorDate,
            'disambiguate-add-names="true"',
            [[['c']], [['d']]],
            ['(Brent, Moor, and Lund 2001)', '(Brent, Moor, and Vane 2001)'],
        ];
        yield 'disambiguate-add-givenname' => [
            $authorDate,
            'disambiguate-add-givenname="true"',
            [[['a']], [['e']]],
            ['(Anna Pell 1994)', '(Bruno Pell 1994)'],
        ];
        yield 'collapse: year' => [
            $authorDate,
            'collapse="year" disambiguate-add-year-suffix="true"',
            [[['a'], ['b'], ['c']]],
            ['(Pell 1994a, 1994b; Brent et al. 2001)'],
        ];
        yield 'collapse: year-suffix' => [
            $authorDate,
            'collapse="year-suffix" year-suffix-delimiter=", " disambiguate-add-year-suffix="true"',
            [[['a'], ['b']]],
            ['(Pell 1994a, b)'],
        ];
        yield 'cite grouping: works of the same people stand where the first stands' => [
            $authorDate,
            'collapse="year" disambiguate-add-year-suffix="true"',
            [[['a'], ['c'], ['b']]],
            ['(Pell 1994a, 1994b; Brent et al. 2001)'],
        ];
        yield 'cite grouping: what stands in the place of names is nobody’s' => [
            str_replace('et-al-use-first="1"/>', 'et-al-use-first="1"/><substitute><text variable="title"/></substitute>', $authorDate),
            'collapse="year"',
            [[['a'], ['n']]],
            ['(Pell 1994; Mud 1953)'],
        ];
        yield 'collapse: the same work twice in one citation' => [
            str_replace('prefix=", "', 'prefix=": "', $authorDate),
            'collapse="year-suffix" disambiguate-add-year-suffix="true"',
            [[['a', '4'], ['a', '9']]],
            ['(Pell 1994: 4, 9)'],
        ];
        yield 'a locator is said once in a cite' => [
            '<text variable="title"/><text variable="locator" prefix=", "/><group prefix="; "><text variable="locator"/></group>',
            '',
            [[['n', '4–5']]],
            ['(Mud, 4–5)'],
        ];
        yield 'a label behind its locator knows it all the same' => [
            '<text variable="locator"/><label variable="locator" form="short" prefix=" "/>',
            '',
            [[['n', '4–5']]],
            ['(4–5 pp.)'],
        ];
        yield 'collapse: citation-number' => [
            '<text variable="citation-number"/>',
            'collapse="citation-number"',
            [[['a']], [['b']], [['c']], [['a'], ['b'], ['c']]],
            ['(1)', '(2)', '(3)', '(1–3)'],
        ];
        yield 'position: ibid, with a locator, subsequent' => [
            '<choose><if position="ibid-with-locator"><text value="IL"/></if><else-if position="ibid"><text value="I"/></else-if>'
                . '<else-if position="subsequent"><text value="S"/></else-if><else><text value="F"/></else></choose>',
            '',
            [[['a']], [['a']], [['a', '3']], [['c']], [['a']]],
            ['(F)', '(I)', '(IL)', '(F)', '(S)'],
        ];
        yield 'collapse: year-suffix-ranged' => [
            $authorDate,
            'collapse="year-suffix-ranged" year-suffix-delimiter=", " disambiguate-add-year-suffix="true"',
            [[['a'], ['b'], ['f'], ['g']], [['a'], ['b']], [['a', '4'], ['b'], ['f']]],
            ['(Pell 1994a–d)', '(Pell 1994a, b)', '(Pell 1994a, 4, b, c)'],
        ];
        yield 'cite grouping: works without a name stand together' => [
            $authorDate,
            'collapse="year"',
            [[['n'], ['a'], ['m']]],
            ['(1953, 1961; Pell 1994)'],
        ];
        yield 'collapse: citation-number, where no number is printed' => [
            $authorDate,
            'collapse="citation-number"',
            [[['a'], ['c'], ['d']]],
            ['(Pell 1994; Brent et al. 2001; Brent et al. 2001)'],
        ];
        yield 'collapse: citation-number, where words stand beside it' => [
            '<text variable="citation-number" prefix="source "/>',
            'collapse="citation-number"',
            [[['a'], ['c'], ['d']]],
            ['(source 1; source 2; source 3)'],
        ];
        yield 'givenname-disambiguation-rule: initials tell people apart' => [
            $authorDate,
            'disambiguate-add-givenname="true" givenname-disambiguation-rule="primary-name-with-initials"',
            [[['a']], [['e']]],
            ['(Pell 1994)', '(Pell 1994)'],
        ];
        yield 'givenname-disambiguation-rule: initials, where names have them' => [
            str_replace('form="short"', 'form="short" initialize-with=". "', $authorDate),
            'disambiguate-add-givenname="true" givenname-disambiguation-rule="primary-name-with-initials"',
            [[['a']], [['e']]],
            ['(A. Pell 1994)', '(B. Pell 1994)'],
        ];
        yield 'givenname-disambiguation-rule: initials that are the same tell nobody' => [
            str_replace('form="short"', 'form="short" initialize-with=". "', $authorDate),
            'disambiguate-add-givenname="true" givenname-disambiguation-rule="primary-name-with-initials"',
            [[['a']], [['h']]],
            ['(Pell 1994)', '(Pell 1994)'],
        ];
        yield 'names once again' => [$short, '', [[['a'], ['c']]], ['(Pell; Brent, Moor, Lund)']];
    }

    public function testTheListIsSortedByItsKeysAndNamesAreReplacedWhereTheyComeAgain(): void
    {
        $bibliography = '<bibliography subsequent-author-substitute="———"><sort><key variable="author"/><key variable="issued" sort="descending"/></sort>'
            . '<layout suffix="."><names variable="author"><name name-as-sort-order="all"/></names>'
            . '<date variable="issued" prefix=" "><date-part name="year"/></date></layout></bibliography>';
        $none = '<bibliography><layout><text value="-"/></layout></bibliography>';
        $style = str_replace($none, $bibliography, self::style('<text variable="title"/>', '<text value="-"/>'));
        $works = ['f' => ['issued' => ['date-parts' => [[2001]]]] + self::ITEM, 'g' => self::ITEM, 'c' => self::items()['c']];

        self::assertSame(
            ['Brent, Tom, Moor, Ada, Lund, Ira 2001.', 'Pell, Anna Lou 2001.', '——— 1994.'],
            self::printed($style, ['g' => $works['g'], 'f' => $works['f'], 'c' => $works['c']], [[['g']], [['f']], [['c']]])['list'],
        );
    }

    public function testAKeyOfWordsAloneIsNoKey(): void
    {
        $names = '<names variable="author"><name/><substitute><text term="ibid"/></substitute></names>';
        $style = str_replace(
            ['<citation', '<bibliography>'],
            ["<macro name=\"who\">{$names}</macro><citation", '<bibliography><sort><key macro="who"/></sort>'],
            self::style('<text variable="title"/>', '<text variable="title"/>'),
        );
        $works = [
            'a' => ['type' => 'book', 'title' => 'Silt'],
            'b' => ['type' => 'book', 'title' => 'Mud', 'author' => [['family' => 'Vane', 'given' => 'Ed']]],
        ];

        self::assertSame(['Mud', 'Silt'], self::printed($style, $works, [[['a']], [['b']]])['list']);
    }

    #[DataProvider('blocks')]
    public function testAnEntryOfBlocksEndsAsItsLastElementSays(string $layout, string $expected): void
    {
        $style = str_replace(
            ['<bibliography><layout>', '<citation'],
            ['<bibliography><layout suffix=".">', '<macro name="m"><text variable="volume"/></macro><citation'],
            self::style('<text variable="title"/>', $layout),
        );

        self::assertSame([$expected], self::printed($style, ['a' => self::ITEM], [[['a']]])['list']);
    }

    /** @return iterable<string, array{string, string}> */
    public static function blocks(): iterable
    {
        $block = '<group display="block"><text variable="title"/></group>';

        yield 'a value behind a block' => [$block . '<text variable="publisher"/>', 'Tides and wallsCreekside Press.'];
        yield 'a group that says nothing' => [$block . '<group><text variable="volume"/></group>', 'Tides and walls.'];
        yield 'a macro that says nothing takes the stop with it' => [$block . '<text macro="m"/>', 'Tides and walls'];
        yield 'a block that says nothing takes the stop with it' => [
            $block . '<group display="block"><text variable="volume"/></group>',
            'Tides and walls',
        ];
    }

    public function testOrdinalsOfALanguageThatHasThemByGenderAlone(): void
    {
        $own = '<locale><terms><term name="ordinal" gender-form="masculine">.º</term><term name="ordinal" gender-form="feminine">.ª</term>'
            . '</terms></locale><citation';
        $style = str_replace('<citation', $own, self::style('<text variable="title"/>', '<number variable="edition" form="ordinal"/>'));

        // The letter is raised by what prints it.
        self::assertSame(['2.a'], self::printed($style, ['a' => ['edition' => '2'] + self::ITEM], [[['a']]])['list']);
    }

    public function testTurkishCapitalsHaveTheirDots(): void
    {
        $style = str_replace('version="1.0"', 'version="1.0" default-locale="tr-TR"', self::style(
            '<text variable="title"/>',
            '<text value="ile" text-case="capitalize-first"/><text variable="title" text-case="capitalize-first" prefix=" "/>',
        ));

        self::assertSame(['İle iBoats'], self::printed($style, ['a' => ['title' => 'iBoats'] + self::ITEM], [[['a']]])['list']);
    }

    public function testTheLetterAfterAYearIsTheSameInAnyCase(): void
    {
        $style = self::style(
            '<text variable="title"/>',
            '<date variable="issued" text-case="uppercase"><date-part name="month" suffix=" "/><date-part name="year"/></date>',
            '',
            'disambiguate-add-year-suffix="true"',
        );
        $works = ['a' => self::ITEM, 'b' => self::ITEM];

        self::assertSame(['MAY 1994a', 'MAY 1994b'], self::printed($style, $works, [[['a']], [['b']]])['list']);
    }

    public function testNobodyIsNamedWhereAStyleNamesNoneBeforeAnEtAlOfNoWords(): void
    {
        $names = '<names variable="author"><name et-al-min="3" et-al-use-first="0"/></names><text variable="publisher"/>';
        $style = self::style('<text variable="title"/>', $names);
        $silent = str_replace('<citation', '<locale><terms><term name="et-al"></term></terms></locale><citation', $style);
        $works = ['c' => ['publisher' => 'Press'] + self::items()['c']];

        self::assertSame(['Press'], self::printed($silent, $works, [[['c']]])['list']);
        self::assertSame(['Tom Brent et al.Press'], self::printed($style, $works, [[['c']]])['list']);
    }

    public function testEtAlIsNoPartOfAKey(): void
    {
        $names = '<names variable="author"><name et-al-min="2" et-al-use-first="1"/></names>';
        $style = str_replace(
            ['<citation', '<bibliography>'],
            ["<macro name=\"who\">{$names}</macro><citation", '<bibliography><sort><key macro="who"/><key variable="title"/></sort>'],
            self::style('<text variable="title"/>', '<text variable="title"/>'),
        );
        $people = [['family' => 'Brent', 'given' => 'Tom'], ['family' => 'Moor', 'given' => 'Ada']];
        $works = [
            'a' => ['type' => 'book', 'title' => 'Silt', 'author' => [$people[0]]],
            'b' => ['type' => 'book', 'title' => 'Mud', 'author' => $people],
        ];

        self::assertSame(['Mud', 'Silt'], self::printed($style, $works, [[['a']], [['b']]])['list']);
    }

    public function testNotesReferToNotesBeforeThemAndTellApartWhatWouldReadAlikeThere(): void
    {
        $later = '<names variable="author"><name form="short"/></names><choose><if disambiguate="true"><text variable="title" prefix=", "/></if>'
            . '</choose><text variable="first-reference-note-number" prefix=" (note " suffix=")"/>';
        $layout = "<choose><if position=\"subsequent\">{$later}</if><else><text variable=\"title\"/></else></choose>";
        $style = str_replace('"in-text"', '"note"', self::style($layout, '<text value="-"/>'));
        $works = array_map(
            static fn(string $title): array => ['title' => $title] + self::items()['a'],
            ['a' => 'Mud', 'b' => 'Silt'],
        );

        self::assertSame(
            ['(Mud; Silt)', '(Pell, Mud (note 1))', '(Pell, Silt (note 1))'],
            self::printed($style, $works, [[['a'], ['b']], [['a']], [['b']]])['citations'],
        );
        self::assertSame(['(Mud; Pell)'], self::printed($style, ['a' => $works['a']], [[['a'], ['a']]])['citations']);
    }

    public function testNamesAreSortedWithoutTheWordBetweenThem(): void
    {
        $names = '<names variable="author"><name and="text"/></names>';
        $style = str_replace(
            ['<citation', '<bibliography>'],
            ["<macro name=\"who\">{$names}</macro><citation", '<bibliography><sort><key macro="who"/></sort>'],
            self::style('<text variable="title"/>', '<text variable="title"/>'),
        );
        $of = static fn(string $title, string ...$families): array => [
            'type' => 'book',
            'title' => $title,
            'author' => array_map(static fn(string $family): array => ['family' => $family, 'given' => 'A'], $families),
        ];
        $works = ['a' => $of('Silt', 'Brent', 'Lund'), 'b' => $of('Mud', 'Brent', 'Cole', 'Moor')];

        self::assertSame(['Mud', 'Silt'], self::printed($style, $works, [[['a']], [['b']]])['list']);
    }

    public function testNamesAreReplacedWhereThoseThatArePrintedComeAgain(): void
    {
        $style = str_replace(
            '<bibliography>',
            '<bibliography subsequent-author-substitute="———" et-al-min="3" et-al-use-first="1">',
            self::style('<text variable="title"/>', '<names variable="author"><name/></names>'),
        );
        $works = array_intersect_key(self::items(), ['c' => 1, 'd' => 1, 'a' => 1, 'e' => 1]);

        self::assertSame(
            ['Tom Brent et al.', '———', 'Anna Pell', 'Bruno Pell'],
            self::printed($style, ['c' => $works['c']] + ['d' => $works['d']] + $works, [[['c']], [['d']], [['a']], [['e']]])['list'],
        );
    }

    public function testWordsInThePlaceOfNamesAreNotReplaced(): void
    {
        $names = '<names variable="author"><name/><substitute><text term="ibid"/></substitute></names><text variable="title" prefix=" "/>';
        $style = str_replace(
            '<bibliography>',
            '<bibliography subsequent-author-substitute="———">',
            self::style('<text variable="title"/>', $names),
        );
        $works = array_map(static fn(string $title): array => ['type' => 'book', 'title' => $title], ['a' => 'Mud', 'b' => 'Silt']);

        self::assertSame(['Ibid. Mud', 'Ibid. Silt'], self::printed($style, $works, [[['a']], [['b']]])['list']);
    }

    public function testNothingGoesBeforeSomethingAndMarksDoNotCount(): void
    {
        $style = str_replace('<bibliography>', '<bibliography><sort><key variable="author"/></sort>', self::style(
            '<text variable="title"/>',
            '<names variable="author"/>',
        ));
        $of = static fn(string $family): array => ['type' => 'book', 'title' => 'Mud', 'author' => [['family' => $family, 'given' => 'Z']]];
        $works = ['a' => $of('Pella'), 'b' => $of('Pell'), 'c' => $of('Pell-Moor'), 'd' => $of('Vane'), 'e' => $of('Van Orr')];

        self::assertSame(
            ['Z Pell', 'Z Pella', 'Z Pell-Moor', 'Z Van Orr', 'Z Vane'],
            self::printed($style, $works, [[['a']], [['b']], [['c']], [['d']], [['e']]])['list'],
        );
    }

    public function testAnItemSaysInEachStyleWhatThatStyleWants(): void
    {
        $items = ['a' => new Item('a', ['type' => 'book', 'title' => '«Mud» again'])];
        $quotes = static fn(string $open, string $close): string => '<locale xmlns="http://purl.org/net/xbiblio/csl"><terms>'
            . "<term name=\"open-quote\">{$open}</term><term name=\"close-quote\">{$close}</term></terms></locale>";
        $said = [];
        foreach ([$quotes('«', '»'), $quotes('„', '“')] as $own) {
            $xml = self::style('<text variable="title"/>', '<text value="-"/>');
            $style = StyleReader::read(str_replace('</style>', "{$own}</style>", $xml), self::locales());
            $flat = Processor::run($style, $items, [[new Cite('a')]])['citations'][0];
            $said[] = implode('', array_column(Spans::of($flat, $style->locale->quotes), 0));
        }

        self::assertSame(['(«Mud» again)', '(«Mud» again)'], $said);
    }

    #[DataProvider('badStyles')]
    public function testAStyleThatCannotBeCarriedOutSaysWhy(string $style, string $says): void
    {
        $this->expectException(CslError::class);
        $this->expectExceptionMessage($says);

        StyleReader::read($style, self::locales());
    }

    /** @return iterable<string, array{string, string}> */
    public static function badStyles(): iterable
    {
        $style = static fn(string $within): string => "<style xmlns=\"http://purl.org/net/xbiblio/csl\" class=\"in-text\" version=\"1.0\">{$within}</style>";

        yield 'nothing' => ['', 'no XML'];
        yield 'no XML' => ['{"a": 1}', 'no XML'];
        yield 'another root' => ['<html/>', 'begins with <html>'];
        yield 'entities' => ['<!DOCTYPE style [<!ENTITY a SYSTEM "file:///etc/passwd">]><style>&a;</style>', 'declares entities'];
        yield 'no citation' => [$style(''), 'no <citation>'];
        yield 'no layout' => [$style('<citation/>'), 'no <layout>'];
        yield 'a macro that is not there' => [
            $style('<citation><layout><text macro="a"/></layout></citation>'),
            '“a” that it does not have',
        ];
        yield 'a macro that calls itself' => [
            $style('<macro name="a"><text macro="b"/></macro><macro name="b"><text macro="a"/></macro><citation><layout><text macro="a"/></layout></citation>'),
            'calls itself',
        ];
    }

    #[DataProvider('pages')]
    public function testPageRangesHaveTheFormatOfTheStyle(string $pages, string $format, string $expected): void
    {
        self::assertSame($expected, Numbers::pages($pages, $format, '–'));
    }

    /** @return iterable<array{string, string, string}> */
    public static function pages(): iterable
    {
        yield ['321-28', 'expanded', '321–328'];
        yield ['321-328', 'minimal', '321–8'];
        yield ['321-328', 'minimal-two', '321–28'];
        yield ['101-108', 'chicago', '101–8'];
        yield ['100-104', 'chicago', '100–104'];
        yield ['1496-1504', 'chicago', '1496–1504'];
        yield ['12, 15-17', 'minimal', '12, 15–7'];
        yield ['iv-ix', 'minimal', 'iv–ix'];
        yield ['S12-S19', 'expanded', 'S12–S19'];
        yield ['e12345', 'minimal', 'e12345'];
    }

    /** @return array<string, array<string, mixed>> by id */
    private static function items(): array
    {
        $work = static fn(int $year, string ...$names): array => [
            'type' => 'book',
            'issued' => ['date-parts' => [[$year]]],
            'author' => array_map(static fn(string $name): array => array_combine(['family', 'given'], explode(' ', $name)), $names),
        ];

        return [
            'a' => $work(1994, 'Pell Anna'),
            'b' => $work(1994, 'Pell Anna'),
            'c' => $work(2001, 'Brent Tom', 'Moor Ada', 'Lund Ira'),
            'd' => $work(2001, 'Brent Tom', 'Moor Ada', 'Vane Ed'),
            'e' => $work(1994, 'Pell Bruno'),
            'f' => $work(1994, 'Pell Anna'),
            'g' => $work(1994, 'Pell Anna'),
            'h' => $work(1994, 'Pell Ada'),
            'm' => ['title' => 'Sand', 'author' => []] + $work(1961),
            'n' => ['title' => 'Mud', 'author' => []] + $work(1953),
        ];
    }

    /**
     * @param array<string, array<string, mixed>>           $works     by id
     * @param list<list<array{0: string, 1?: string}>> $citations source and locator of each cite
     *
     * @return array{citations: list<string>, list: list<string>}
     */
    private static function printed(string $xml, array $works, array $citations): array
    {
        $style = StyleReader::read($xml, self::locales());
        $items = [];
        foreach (array_merge(...$citations) as [$id]) {
            $items[$id] ??= new Item($id, $works[$id]);
        }
        $cites = array_map(
            static fn(array $cluster): array => array_map(static fn(array $cite): Cite => new Cite($cite[0], $cite[1] ?? ''), $cluster),
            $citations,
        );
        $printed = Processor::run($style, $items, $cites);
        $marked = static fn(string $flat): string => implode('', array_map(
            static fn(array $span): string => ($span[1] & Spans::ITALIC) === 0 ? $span[0] : "*{$span[0]}*",
            Spans::of($flat, $style->locale->quotes),
        ));

        return ['citations' => array_map($marked, $printed['citations']), 'list' => array_map($marked, array_values($printed['list']))];
    }

    private static function locales(): Locales
    {
        return new Locales(static fn(string $tag): ?string => $tag === 'en-US' ? self::ENGLISH : null);
    }

    private static function style(string $citation, string $bibliography, string $attributes = '', string $cites = ''): string
    {
        return "<style xmlns=\"http://purl.org/net/xbiblio/csl\" class=\"in-text\" version=\"1.0\" {$attributes}>"
            . "<citation {$cites}><layout prefix=\"(\" suffix=\")\" delimiter=\"; \">{$citation}</layout></citation>"
            . "<bibliography><layout>{$bibliography}</layout></bibliography></style>";
    }
}
