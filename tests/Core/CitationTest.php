<?php

declare(strict_types=1);

namespace Tests\Core;

use Embrel\Citation\Cited;
use Embrel\Citation\Csl\TextCase;
use Embrel\Citation\Manual;
use Embrel\Citation\Pages;
use Embrel\Citation\PartialDate;
use Embrel\Citation\Person;
use Embrel\Citation\References;
use Embrel\Citation\Source;
use Embrel\Citation\SourceKind;
use Embrel\Citation\Titles;
use Embrel\RichText\MarkType;
use Embrel\RichText\Node;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** One row a rule, named as the style's own manual has it. Italic runs stand between asterisks. */
final class CitationTest extends TestCase
{
    /**
     * @param list<Source>           $sources   cited one after the other where no citations are given
     * @param list<list<Cited>>|null $citations
     * @param array<int, string>     $said      which citation → how it is printed
     * @param array<int, string>     $listed    which entry of the list → how it is printed
     */
    #[DataProvider('rules')]
    public function testEachRuleOfAStyleIsKept(
        Manual $style,
        array $sources,
        array $said = [],
        array $listed = [],
        ?array $citations = null,
        string $language = 'en',
    ): void {
        $byId = array_column($sources, null, 'id');
        $references = References::of(
            $style->style(),
            $language,
            $byId,
            $citations ?? array_map(static fn(Source $source): array => [new Cited($source->id)], $sources),
        );

        self::assertNotEmpty($said + $listed);
        foreach ($said as $n => $expected) {
            self::assertSame($expected, self::marked($references->citations[$n]));
        }
        foreach ($listed as $n => $expected) {
            self::assertSame($expected, self::marked($references->list[$n]['runs']));
        }
    }

    /** @return iterable<string, array<string, mixed>> */
    public static function rules(): iterable
    {
        [$apa, $mla, $dates, $notes, $numbers] = [
            Manual::Apa,
            Manual::Mla,
            Manual::ChicagoDates,
            Manual::ChicagoNotes,
            Manual::Numbered,
        ];
        $pell = self::book('A', 'Pell, Anna', 'Tides and Walls', '1994');
        $second = self::book('B', 'Pell, Anna', 'Second Thoughts on Walls', '1994');
        $later = self::book('C', 'Pell, Anna', 'Low Ground', '1999');
        $two = self::book('D', 'Brent, Tom; Moor, Ada', 'Mud', '1998');
        $three = self::book('E', 'Brent, Tom; Moor, Ada; Lund, Ira', 'Silt', '2001');
        $four = self::book('F', 'Brent, Tom; Moor, Ada; Lund, Ira; Vane, Ed', 'Sand', '2003');
        $many = self::book(
            'G',
            implode('; ', array_map(static fn(int $n): string => 'Name' . \chr(64 + $n) . ', Given', range(1, 21))),
            'Many Hands',
            '2010',
        );
        $twenty = self::book(
            'H',
            implode('; ', array_map(static fn(int $n): string => 'Name' . \chr(64 + $n) . ', Given', range(1, 20))),
            'Many Hands',
            '2010',
        );
        $eleven = self::book(
            'I',
            implode('; ', array_map(static fn(int $n): string => 'Name' . \chr(64 + $n) . ', Given', range(1, 11))),
            'Many Hands',
            '2010',
        );
        $parish = self::source('J', SourceKind::WebPage, '', 'The Creek Today', '2024-05-03', [
            'authors' => [new Person('Harrow Parish Council')],
            'container' => 'Harrow Parish Council',
            'url' => 'https://harrow.example/creek',
        ]);
        $undated = self::source('K', SourceKind::WebPage, 'Oakes, Ruth', 'Walking the Wall', '', [
            'container' => 'Harrow Walks',
            'url' => 'https://walks.example/wall',
            'accessed' => PartialDate::of('2024-06-01'),
        ]);
        $nameless = self::source('L', SourceKind::Newspaper, '', 'The Night the Wall Broke', '1953-02-01', [
            'container' => 'Harrow Mercury',
            'pages' => '4',
        ]);
        $edited = self::source('M', SourceKind::Book, '', 'Life on the Flats', '1990', [
            'editors' => [Person::typed('Moor, Ada'), Person::typed('Vane, Ed')],
            'publisher' => 'Creekside Press',
            'place' => 'Harrow',
        ]);
        $chapter = self::source('N', SourceKind::Chapter, 'van der Meer, Jan', 'The Samphire Cutters', '1990', [
            'editors' => [Person::typed('Moor, Ada')],
            'container' => 'Life on the Flats',
            'pages' => '10-20',
            'publisher' => 'Creekside Press',
            'place' => 'Harrow',
        ]);
        $article = self::source('O', SourceKind::Article, 'Brent, Tom', 'How Fast Will the Mud Rise?', '1998-05', [
            'container' => 'Tidal Notes',
            'volume' => '3',
            'issue' => '2',
            'pages' => '321-328',
            'doi' => '10.5555/tn.32',
        ]);
        $talk = self::source('P', SourceKind::Interview, 'Oakes, Ruth', 'On the Marsh', '2024-02-01');
        $film = self::source('Q', SourceKind::Film, 'Lund, Ira', 'Low Water', '2001', ['publisher' => 'Saltlight']);
        $thesis = self::source('R', SourceKind::Thesis, 'Vane, Ed', 'Mud and Money', '2011', ['publisher' => 'Harrow College']);
        $circa = self::book('S', 'Ward, Eli', 'The Creek Book', '1887~');
        $von = self::book('T', 'von Harl, Otto', 'Deiche', '1920', ['language' => 'de']);
        $edition = self::book('U', 'Kay, Jo', 'Salt: the DNA of Harrow Creek', '2005', ['edition' => '3', 'capitals' => 'Harrow Creek']);
        $junior = self::book('V', 'Pell Jr., Adam', 'Walls Again', '2015');
        $report = self::source('W', SourceKind::Report, '', 'Options for the Creek', '2019', [
            'authors' => [new Person('Shore Office')],
            'publisher' => 'Shore Office',
            'issue' => '12',
        ]);
        $bornwith = self::book('X', 'Pell, Bruno', 'Boats', '1988');

        // ---- In the text
        yield 'APA 7, 8.11: author and year in parentheses' => self::row($apa, [$pell], ['(Pell, 1994)']);
        yield 'APA 7, 8.13: one page' => self::row($apa, [$pell], ['(Pell, 1994, p. 61)'], citations: [[self::cited('A', '61')]]);
        yield 'APA 7, 8.13: several pages, with an en dash' => self::row(
            $apa,
            [$pell],
            ['(Pell, 1994, pp. 161–163)'],
            citations: [[self::cited('A', '161-3')]],
        );
        yield 'APA 7, 8.13: another part of a source, as it is called' => self::row(
            $apa,
            [$pell],
            ['(Pell, 1994, ch. 3)'],
            citations: [[self::cited('A', 'ch. 3')]],
        );
        yield 'APA 7, 8.17: two authors with an ampersand' => self::row($apa, [$two], ['(Brent & Moor, 1998)']);
        yield 'APA 7, 8.17: three authors, et al. from the first citation' => self::row($apa, [$three], ['(Brent et al., 2001)']);
        yield 'APA 7, 8.18: as many names as tell two works of a year apart' => self::row(
            $apa,
            [
                $three->with([
                    'id' => 'E1',
                    'date' => PartialDate::of('2003'),
                    'authors' => [...\array_slice($three->authors, 0, 1), Person::typed('Ames, Lil'), Person::typed('Orr, Di')],
                ]),
                $four,
            ],
            ['(Brent, Ames, & Orr, 2003)', '(Brent, Moor, et al., 2003)'],
        );
        yield 'APA 7, 8.19: the same author and year, letters in the order of the titles' => self::row(
            $apa,
            [$pell, $second],
            ['(Pell, 1994b)', '(Pell, 1994a)'],
        );
        yield 'APA 7, 8.20: first authors of the same surname get initials' => self::row(
            $apa,
            [$later, $bornwith],
            ['(A. Pell, 1999)', '(B. Pell, 1988)'],
        );
        yield 'APA 7, 8.12: several works in the order of the list, those of one author together' => self::row(
            $apa,
            [$pell, $later, $two],
            ['(Brent & Moor, 1998; Pell, 1994, 1999)'],
            citations: [[self::cited('C'), self::cited('D'), self::cited('A')]],
        );
        yield 'APA 7, 8.12: words before and after' => self::row(
            $apa,
            [$pell],
            ['(see Pell, 1994, p. 61, for a review)'],
            citations: [[new Cited('A', '61', 'see', 'for a review')]],
        );
        yield 'APA 7, 8.11: the author in the sentence, so not in the parentheses' => self::row(
            $apa,
            [$pell],
            ['(1994, p. 61)'],
            citations: [[new Cited('A', '61', withoutAuthor: true)]],
        );
        yield 'APA 7, 8.14: no author: the title, quoted where it is part of a whole' => self::row(
            $apa,
            [$nameless],
            ['(“Night the Wall Broke,” 1953)'],
        );
        yield 'APA 7, 8.14: no author: the title of a book in italics' => self::row(
            $apa,
            [self::book('Y', '', 'The Tide Tables', '1970')],
            ['(*Tide Tables*, 1970)'],
        );
        yield 'APA 7, 8.15: no date' => self::row($apa, [$undated], ['(Oakes, n.d.)']);
        yield 'APA 7, 8.9: a talk of one’s own is named in the text' => self::row(
            $apa,
            [$talk],
            ['(R. Oakes, personal communication, February 1, 2024)'],
        );
        yield 'APA 7, 8.21: a group as author' => self::row($apa, [$parish], ['(Harrow Parish Council, 2024)']);
        yield 'MLA 9, ch. 6, author and page without a comma' => self::row(
            $mla,
            [$pell],
            ['(Pell 61)'],
            citations: [[self::cited('A', '61')]],
        );
        yield 'MLA 9, ch. 6, two authors' => self::row($mla, [$two], ['(Brent and Moor)']);
        yield 'MLA 9, ch. 6, three or more authors' => self::row($mla, [$three], ['(Brent et al.)']);
        yield 'MLA 9, ch. 6, two works of one author: a short title' => self::row(
            $mla,
            [$pell, $second],
            ['(Pell, *Tides and Walls* 61)'],
            citations: [[self::cited('A', '61')], [self::cited('B')]],
        );
        yield 'MLA 9, ch. 6, two authors of one surname: initials' => self::row($mla, [$later, $bornwith], ['(A. Pell)', '(B. Pell)']);
        yield 'MLA 9, ch. 6, no author: a short title without its article' => self::row(
            $mla,
            [$nameless],
            ['(“Night the Wall Broke” 4)'],
            citations: [[self::cited('L', '4')]],
        );
        yield 'MLA 9, ch. 6, several sources apart by semicolons' => self::row(
            $mla,
            [$pell, $two],
            ['(Pell 61; Brent and Moor 9)'],
            citations: [[self::cited('A', '61'), self::cited('D', '9')]],
        );
        yield 'MLA 9, ch. 2, ranges from 100 keep two digits of the second number' => self::row(
            $mla,
            [$pell],
            ['(Pell 321–28)'],
            citations: [[self::cited('A', '321-328')]],
        );
        yield 'Chicago 17, 15.24: page after a comma' => self::row(
            $dates,
            [$pell],
            ['(Pell 1994, 61)'],
            citations: [[self::cited('A', '61')]],
        );
        yield 'Chicago 17, 15.29: three authors in full' => self::row($dates, [$three], ['(Brent, Moor, and Lund 2001)']);
        yield 'Chicago 17, 15.29: four or more, et al.' => self::row($dates, [$four], ['(Brent et al. 2003)']);
        yield 'Chicago 17, 15.20: letters for one author and year' => self::row($dates, [$pell, $second], ['(Pell 1994b)', '(Pell 1994a)']);
        yield 'Chicago 17, 15.22: initials for one surname' => self::row($dates, [$later, $bornwith], ['(A. Pell 1999)', '(B. Pell 1988)']);
        yield 'Chicago 17, 15.30: works of one author by year alone, others after a semicolon' => self::row(
            $dates,
            [$pell, $later, $two],
            ['(Pell 1994, 1999; Brent and Moor 1998)'],
            citations: [[self::cited('A'), self::cited('C'), self::cited('D')]],
        );
        yield 'Chicago 17, 15.44: no date' => self::row($dates, [$undated], ['(Oakes n.d.)']);
        yield 'Chicago 17, 9.61: inclusive numbers, 101 to 109 the changed part only' => self::row(
            $dates,
            [$pell],
            ['(Pell 1994, 101–8)'],
            citations: [[self::cited('A', '101-108')]],
        );
        yield 'Chicago 17, 9.61: inclusive numbers after a full hundred' => self::row(
            $dates,
            [$pell],
            ['(Pell 1994, 100–104)'],
            citations: [[self::cited('A', '100-104')]],
        );
        yield 'Chicago 17, 14.23: a first note in full' => self::row(
            $notes,
            [$pell],
            ['Anna Pell, *Tides and Walls* (Harrow: Creekside Press, 1994), 61.'],
            citations: [[self::cited('A', '61')]],
        );
        yield 'Chicago 17, 14.30: a later note short' => self::row(
            $notes,
            [$pell, $two],
            [2 => 'Pell, *Tides and Walls*, 63.'],
            citations: [[self::cited('A', '61')], [self::cited('D')], [self::cited('A', '63')]],
        );
        yield 'Chicago 17, 14.34: the same again at once without its title' => self::row(
            $notes,
            [$pell],
            [1 => 'Pell, 63.'],
            citations: [[self::cited('A', '61')], [self::cited('A', '63')]],
        );
        yield 'Chicago 17, 14.76: four authors in a note' => self::row(
            $notes,
            [$four],
            ['Tom Brent et al., *Sand* (Harrow: Creekside Press, 2003).'],
        );
        yield 'Chicago 17, 14.57: several in one note' => self::row(
            $notes,
            [$pell, $two],
            [1 => 'See Pell, 9; Tom Brent and Ada Moor, *Mud* (Harrow: Creekside Press, 1998).'],
            citations: [[self::cited('A')], [new Cited('A', '9', 'see'), self::cited('D')]],
        );
        yield 'Chicago 17, 14.171: an article in a note' => self::row(
            $notes,
            [$article],
            ['Tom Brent, “How Fast Will the Mud Rise?” *Tidal Notes* 3, no. 2 (May 1998): 322, https://doi.org/10.5555/tn.32.'],
            citations: [[self::cited('O', '322')]],
        );
        yield 'Chicago 17, 14.106: a chapter in a note' => self::row(
            $notes,
            [$chapter],
            ['Jan van der Meer, “The Samphire Cutters,” in *Life on the Flats*, ed. Ada Moor (Harrow: Creekside Press, 1990), 12.'],
            citations: [[self::cited('N', '12')]],
        );
        yield 'Numbers: runs of three and more, pages by their number' => self::row(
            $numbers,
            [$pell, $two, $three, $four],
            [4 => '[1–3]', 5 => '[1, p. 61; 4]'],
            citations: [
                [self::cited('A')],
                [self::cited('D')],
                [self::cited('E')],
                [self::cited('F')],
                [self::cited('E'), self::cited('A'), self::cited('D')],
                [self::cited('A', '61'), self::cited('F')],
            ],
        );
        yield 'Any style: a source that has gone is said to be missing' => self::row(
            $apa,
            [$pell],
            ['(Pell, 1994) [source missing]'],
            citations: [[self::cited('A'), self::cited('ZZ')]],
        );

        // ---- The list
        yield 'APA 7, 9.8: one author by surname and initials; 9.29: the publisher without a place' => self::row(
            $apa,
            [$pell],
            [],
            ['Pell, A. (1994). *Tides and walls*. Creekside Press.'],
        );
        yield 'APA 7, 9.8: two authors with comma and ampersand' => self::row(
            $apa,
            [$two],
            [],
            ['Brent, T., & Moor, A. (1998). *Mud*. Creekside Press.'],
        );
        yield 'APA 7, 9.8: twenty authors are all listed' => self::row(
            $apa,
            [$twenty],
            [],
            [
                'NameA, G., NameB, G., NameC, G., NameD, G., NameE, G., NameF, G., NameG, G., NameH, G., NameI, G., NameJ, G., NameK, G., '
                    . 'NameL, G., NameM, G., NameN, G., NameO, G., NameP, G., NameQ, G., NameR, G., NameS, G., & NameT, G. (2010). *Many '
                    . 'hands*. Creekside Press.',
            ],
        );
        yield 'APA 7, 9.8: of 21 the first 19, an ellipsis, the last' => self::row(
            $apa,
            [$many],
            [],
            [
                'NameA, G., NameB, G., NameC, G., NameD, G., NameE, G., NameF, G., NameG, G., NameH, G., NameI, G., NameJ, G., NameK, G., '
                    . 'NameL, G., NameM, G., NameN, G., NameO, G., NameP, G., NameQ, G., NameR, G., NameS, G., . . . NameU, G. (2010). '
                    . '*Many hands*. Creekside Press.',
            ],
        );
        yield 'APA 7, 9.8: a suffix after the initials' => self::row(
            $apa,
            [$junior],
            [],
            ['Pell, A., Jr. (2015). *Walls again*. Creekside Press.'],
        );
        yield 'APA 7, 9.10: editors are called so' => self::row(
            $apa,
            [$edited],
            [],
            ['Moor, A., & Vane, E. (Eds.). (1990). *Life on the flats*. Creekside Press.'],
        );
        yield 'APA 7, 9.11, 9.33: a group as author, its own site not said again' => self::row(
            $apa,
            [$parish],
            [],
            ['Harrow Parish Council. (2024, May 3). *The creek today*. https://harrow.example/creek'],
        );
        yield 'APA 7, 9.12: no author, the title first' => self::row(
            $apa,
            [$nameless],
            [],
            ['The night the wall broke. (1953, February 1). *Harrow Mercury*, 4.'],
        );
        yield 'APA 7, 9.14: about then' => self::row(
            $apa,
            [$circa],
            ['(Ward, ca. 1887)'],
            ['Ward, E. (ca. 1887). *The creek book*. Creekside Press.'],
        );
        yield 'APA 7, 9.16, 9.17: no date, so when it was read' => self::row(
            $apa,
            [$undated],
            [],
            ['Oakes, R. (n.d.). *Walking the wall*. Harrow Walks. Retrieved June 1, 2024, from https://walks.example/wall'],
        );
        yield 'APA 7, 9.19: sentence case, the subtitle raised, names and initials kept, the edition' => self::row(
            $apa,
            [$edition],
            [],
            ['Kay, J. (2005). *Salt: The DNA of Harrow Creek* (3rd ed.). Creekside Press.'],
        );
        yield 'APA 7, 9.21: a film and who made it' => self::row(
            $apa,
            [$film],
            [],
            ['Lund, I. (Director). (2001). *Low water* [Film]. Saltlight.'],
        );
        yield 'APA 7, 9.21: a thesis' => self::row($apa, [$thesis], [], ['Vane, E. (2011). *Mud and money* [Thesis, Harrow College].']);
        yield 'APA 7, 9.25, 9.34: an article with its DOI as an address, without a stop' => self::row(
            $apa,
            [$article],
            [],
            ['Brent, T. (1998). How fast will the mud rise? *Tidal Notes*, *3*(2), 321–328. https://doi.org/10.5555/tn.32'],
        );
        yield 'APA 7, 9.28: a chapter in an edited book' => self::row(
            $apa,
            [$chapter],
            [],
            ['van der Meer, J. (1990). The samphire cutters. In A. Moor (Ed.), *Life on the flats* (pp. 10–20). Creekside Press.'],
        );
        yield 'APA 7, 9.29: the publisher is the author: left out' => self::row(
            $apa,
            [$report],
            [],
            ['Shore Office. (2019). *Options for the creek* (No. 12).'],
        );
        yield 'APA 7, 9.44, 9.46: one author before the same with others, earlier before later' => self::row(
            $apa,
            [
                $two->with([
                    'id' => 'D2',
                    'authors' => [Person::typed('Pell, Anna'), Person::typed('Moor, Ada')],
                    'date' => PartialDate::of('1980'),
                ]),
                $later,
                $pell,
            ],
            [],
            [
                'Pell, A. (1994). *Tides and walls*. Creekside Press.',
                'Pell, A. (1999). *Low ground*. Creekside Press.',
                'Pell, A., & Moor, A. (1980). *Mud*. Creekside Press.',
            ],
        );
        yield 'APA 7, 8.9: a talk of one’s own is not listed' => self::row(
            $apa,
            [$talk, $pell],
            [],
            ['Pell, A. (1994). *Tides and walls*. Creekside Press.'],
        );
        yield 'MLA 9, ch. 5, author, title, publisher, date' => self::row(
            $mla,
            [$pell],
            [],
            ['Pell, Anna. *Tides and Walls*. Creekside Press, 1994.'],
        );
        yield 'MLA 9, ch. 5, two authors, the second as spoken' => self::row(
            $mla,
            [$two],
            [],
            ['Brent, Tom, and Ada Moor. *Mud*. Creekside Press, 1998.'],
        );
        yield 'MLA 9, ch. 5, three or more authors' => self::row($mla, [$three], [], ['Brent, Tom, et al. *Silt*. Creekside Press, 2001.']);
        yield 'MLA 9, ch. 5, the same author again: three hyphens' => self::row(
            $mla,
            [$pell, $second],
            [],
            [1 => '---. *Tides and Walls*. Creekside Press, 1994.'],
        );
        yield 'MLA 9, ch. 5, container, number, date with a short month, pages, DOI' => self::row(
            $mla,
            [$article->with(['date' => PartialDate::of('1998-09')])],
            [],
            [
                'Brent, Tom. “How Fast Will the Mud Rise?” *Tidal Notes*, vol. 3, no. 2, Sept. 1998, pp. 321–28, '
                    . 'https://doi.org/10.5555/tn.32.',
            ],
        );
        yield 'MLA 9, ch. 5, a chapter and the editor of the whole' => self::row(
            $mla,
            [$chapter],
            [],
            ['van der Meer, Jan. “The Samphire Cutters.” *Life on the Flats*, edited by Ada Moor, Creekside Press, 1990, pp. 10–20.'],
        );
        yield 'MLA 9, ch. 5, editors in front' => self::row(
            $mla,
            [$edited],
            [],
            ['Moor, Ada, and Ed Vane, editors. *Life on the Flats*. Creekside Press, 1990.'],
        );
        yield 'MLA 9, ch. 5, an address without its scheme, and the day of access' => self::row(
            $mla,
            [$undated],
            [],
            ['Oakes, Ruth. “Walking the Wall.” *Harrow Walks*, walks.example/wall. Accessed 1 June 2024.'],
        );
        yield 'MLA 9, ch. 2, titles with capitals but for small words' => self::row(
            $mla,
            [self::book('Y', 'Kay, Jo', 'from the shore to the sea and back', '2001')],
            [],
            ['Kay, Jo. *From the Shore to the Sea and Back*. Creekside Press, 2001.'],
        );
        yield 'MLA 9, ch. 2, a German “von” behind the given name, and the alphabet by the name after it' => self::row(
            $mla,
            [$von, $two],
            ['(Harl)'],
            [1 => 'Harl, Otto von. *Deiche*. Creekside Press, 1920.'],
        );
        yield 'Chicago 17, 15.9: the year after the name, place and publisher' => self::row(
            $dates,
            [$pell],
            [],
            ['Pell, Anna. 1994. *Tides and Walls*. Harrow: Creekside Press.'],
        );
        yield 'Chicago 17, 15.9: of more than ten the first seven' => self::row(
            $dates,
            [$eleven],
            [],
            [
                'NameA, Given, Given NameB, Given NameC, Given NameD, Given NameE, Given NameF, Given NameG, et al. 2010. *Many Hands*. '
                    . 'Harrow: Creekside Press.',
            ],
        );
        yield 'Chicago 17, 15.17: the same author again: a dash of three ems' => self::row(
            $dates,
            [$pell, $later],
            [],
            [1 => '———. 1999. *Low Ground*. Harrow: Creekside Press.'],
        );
        yield 'Chicago 17, 15.48: an article' => self::row(
            $dates,
            [$article],
            [],
            ['Brent, Tom. 1998. “How Fast Will the Mud Rise?” *Tidal Notes* 3 (2): 321–28. https://doi.org/10.5555/tn.32.'],
        );
        yield 'Chicago 17, 15.34: without a name the title, then the year' => self::row(
            $dates,
            [$nameless],
            [],
            ['“The Night the Wall Broke.” 1953. *Harrow Mercury*, February 1, 1953.'],
        );
        yield 'Chicago 17, 14.23: the bibliography, the year last' => self::row(
            $notes,
            [$pell],
            [],
            ['Pell, Anna. *Tides and Walls*. Harrow: Creekside Press, 1994.'],
        );
        yield 'Chicago 17, 14.106: a chapter in the bibliography' => self::row(
            $notes,
            [$chapter],
            [],
            [
                'van der Meer, Jan. “The Samphire Cutters.” In *Life on the Flats*, edited by Ada Moor, 10–20. Harrow: Creekside Press, '
                    . '1990.',
            ],
        );
        yield 'Chicago 17, 14.12: the day of access where no date is known' => self::row(
            $notes,
            [$undated],
            [],
            ['Oakes, Ruth. “Walking the Wall.” Harrow Walks. Accessed June 1, 2024. https://walks.example/wall.'],
        );
        yield 'Numbers: the list in the order of first citation' => self::row(
            $numbers,
            [$pell, $two],
            [],
            [
                '[1] A. Pell. *Tides and Walls*. Harrow: Creekside Press, 1994.',
                '[2] T. Brent and A. Moor. *Mud*. Harrow: Creekside Press, 1998.',
            ],
        );

        // ---- German connecting words
        yield 'German: pages and the ampersand of APA' => self::row(
            $apa,
            [$two],
            ['(Brent & Moor, 1998, S. 61)'],
            citations: [[self::cited('D', '61')]],
            language: 'de-AT',
        );
        yield 'German: no date' => self::row(
            $apa,
            [$undated],
            ['(Oakes, o. J.)'],
            ['Oakes, R. (o. J.). *Walking the Wall*. Harrow Walks. Abgerufen am 1. Juni 2024 von https://walks.example/wall'],
            language: 'de',
        );
        yield 'German: quotation marks, commas behind them, “und”' => self::row(
            $notes,
            [$chapter->with(['editors' => [Person::typed('Moor, Ada'), Person::typed('Vane, Ed')]])],
            [
                'Jan van der Meer, „The Samphire Cutters“, in *Life on the Flats*, hrsg. von Ada Moor und Ed Vane (Harrow: Creekside '
                    . 'Press, 1990).',
            ],
            language: 'de',
        );
        yield 'German: the edition' => self::row(
            $apa,
            [$edition],
            [],
            ['Kay, J. (2005). *Salt: the DNA of Harrow Creek* (3. Aufl.). Creekside Press.'],
            language: 'de',
        );
        $of = static fn(SourceKind $kind, array $more, string $title = 'Walls'): Source
            => self::source('A', $kind, 'Pell, Anna', $title, '1994', $more);
        $entry = static fn(Manual $style, Source $source, string $entry, string $language = 'en'): array => self::row(
            $style,
            [$source],
            [],
            [$entry],
            language: $language,
        );
        $thesis = $of(SourceKind::Thesis, []);
        yield 'APA 10.30: a thesis is called one, whoever took it in' => $entry($apa, $thesis, 'Pell, A. (1994). *Walls* [Thesis].');
        yield 'Chicago 14.215: the same' => $entry($dates, $thesis, 'Pell, Anna. 1994. “Walls.” Thesis.');
        yield 'MLA: in German nouns keep their capital' => $entry($mla, $thesis, 'Pell, Anna. *Walls*. 1994. Abschlussarbeit.', 'de');
        $talk = $of(SourceKind::Interview, ['pages' => '61', 'publisher' => 'Creekside Press']);
        yield 'APA: pages of nothing are not said' => $entry($apa, $talk, 'Pell, A. (1994). *Walls* [Interview]. Creekside Press.');
        $untitled = self::source('A', SourceKind::Book, '', '', '');
        yield 'APA 9.22: no title' => self::row($apa, [$untitled], ['(*Untitled*, n.d.)'], ['*[Untitled]*. (n.d.).']);
        $day = static fn(string $date): Source => $of(SourceKind::Newspaper, ['container' => 'Mercury', 'date' => PartialDate::of($date)]);
        yield 'French: the first of a month' => $entry($apa, $day('1994-05-01'), 'Pell, A. (1994, 1er mai). Walls. *Mercury*.', 'fr');
        yield 'Polish: a month alone' => $entry($apa, $day('1994-05'), 'Pell, A. (1994, maj). Walls. *Mercury*.', 'pl');
        yield 'Polish: a month with its day' => $entry($apa, $day('1994-05-03'), 'Pell, A. (1994, 3 maja). Walls. *Mercury*.', 'pl');
        $issue = $of(SourceKind::Book, ['issue' => '3', 'edition' => 'rev. ed.']);
        yield 'MLA 5.6: after a stop comes a capital' => $entry($mla, $issue, 'Pell, Anna. *Walls*. Rev. ed., no. 3, 1994.');
        yield 'a raised letter is read in plain text too' => $entry($mla, $issue, 'Pell, Anna. *Walls*. Rev. ed., n.º 3, 1994.', 'es');
        $film = $of(SourceKind::Film, ['container' => 'Tides', 'editors' => [Person::typed('Moor, Ada')]]);
        yield 'MLA: a film begins with its title, whoever edited it' => $entry(
            $mla,
            $film,
            '*Walls*. Directed by Anna Pell, *Tides*, edited by Ada Moor, 1994.',
        );
        $question = $of(SourceKind::Book, ['edition' => '2'], 'Who Walls?');
        yield 'Numbers: one mark ends a title, which stands as it is typed' => $entry($numbers, $question, '[1] A. Pell. *Who Walls?* 2nd ed. 1994.');
        yield 'Chicago 6.125: no comma after a question, in other languages either' => self::row(
            $notes,
            [$of(SourceKind::WebPage, ['container' => 'Flats'], 'Who Walls?')],
            ['Anna Pell, «Who Walls?» Flats, 1994.'],
            language: 'it',
        );
        $site = self::source('A', SourceKind::WebPage, 'Creek Trust', 'Walls', '1994', ['container' => 'Creek Trust']);
        yield 'APA 9.33: not the site that is the author' => $entry($apa, $site, 'Creek Trust. (1994). *Walls*.');
        yield 'MLA: a container, whoever is the author' => $entry($mla, $site, 'Creek Trust. “Walls.” *Creek Trust*, 1994.');
        $gathered = self::book('A', '', 'Mud', '2005', ['editors' => [Person::typed('Pell, Anna'), Person::typed('Moor, Ada')]]);
        yield 'Chicago 14.103: eds.' => $entry($dates, $gathered, 'Pell, Anna, and Ada Moor, eds. 2005. *Mud*. Harrow: Creekside Press.');
        yield 'Chicago 15.30: what follows a place begins anew' => self::row(
            $dates,
            [$pell, $later],
            ['(Pell 1994, 5; 1999)'],
            citations: [[self::cited('A', '5'), self::cited('C')]],
        );
        yield 'MLA: a place alone' => self::row($mla, [$pell], ['(5)'], citations: [[new Cited('A', '5', withoutAuthor: true)]]);
    }

    /** @return iterable<string, array{Manual}> */
    public static function byName(): iterable
    {
        foreach (Manual::cases() as $style) {
            if ($style !== Manual::Numbered) {
                yield $style->value => [$style];
            }
        }
    }

    /** “Nothing goes before something”; a title without its article where nobody is named; no date, then dates; whatever people did. */
    #[DataProvider('byName')]
    public function testAListGoesByNamesThenDatesThenTitles(Manual $style): void
    {
        $sources = [
            self::book('A', 'Pella, Ann', 'Alpha', '2000'),
            self::book('B', 'Pell-Moor, Bo', 'Delta', '2000'),
            self::book('C', 'Pell, Zoe', 'Beta', '2000'),
            self::book('D', 'Pell, Anna', 'The Zeal', '2000'),
            self::book('E', 'Pell, Anna', 'Gauge', '2000'),
            self::book('F', 'Pell, Anna', 'Last', ''),
            self::book('G', 'Pell, Anna; Moor, Ada', 'Later', '2006'),
            self::book('H', '', 'Gathered', '2005', ['editors' => [Person::typed('Pell, Anna'), Person::typed('Moor, Ada')]]),
            self::book('I', '', 'The Oyster Beds', '2000'),
            self::book('J', '', 'Quiet Water', '2000'),
        ];
        $list = References::of($style->style(), 'en', array_column($sources, null, 'id'), [], true)->list;

        self::assertSame('IFEDHGCABJ', implode('', array_map(static fn(array $entry): string => $entry['source']->id, $list)));
    }

    public function testAListOfAllNamesWhatIsNeverCited(): void
    {
        $sources = ['A' => self::book('A', 'Pell, Anna', 'Tides', '1994'), 'B' => self::book('B', 'Moor, Ada', 'Mud', '1998')];

        self::assertCount(1, References::of(Manual::Apa->style(), 'en', $sources, [[self::cited('A')]])->list);
        self::assertCount(2, References::of(Manual::Apa->style(), 'en', $sources, [[self::cited('A')]], true)->list);
    }

    #[DataProvider('titles')]
    public function testTitlesGetTheCapitalsOfAStyle(
        string $title,
        string $sentence,
        string $headline,
        string $short,
        string $capitals = '',
    ): void {
        self::assertSame(
            [$sentence, $headline, $short],
            [
                Titles::sentence($title, $capitals),
                TextCase::of(Titles::sentence($title, $capitals), 'title', true),
                Titles::short($title),
            ],
        );
    }

    /** @return iterable<array{string, string, string, string, 4?: string}> */
    public static function titles(): iterable
    {
        yield [
            'Tides and Walls: A History of the Wall',
            'Tides and walls: A history of the wall',
            'Tides and Walls: A History of the Wall',
            'Tides and Walls',
        ];
        yield ['Tides and walls in Harrow Creek', 'Tides and walls in Harrow Creek', 'Tides and Walls in Harrow Creek', 'Tides and walls'];
        yield [
            'The Marsh at Harrow Creek',
            'The marsh at Harrow Creek',
            'The Marsh at Harrow Creek',
            'Marsh at Harrow Creek',
            'Harrow Creek',
        ];
        yield ['THE MARSH AND THE SEA', 'The marsh and the sea', 'The Marsh and the Sea', 'MARSH AND THE SEA'];
        yield [
            'What Is DNA For? McKay on 4H Clubs',
            'What is DNA for? McKay on 4H clubs',
            'What Is DNA For? McKay on 4H Clubs',
            'What Is DNA For',
        ];
        yield ['I and the Sea I’m From', 'I and the sea I’m from', 'I and the Sea I’m From', 'I and the Sea'];
        yield ['“Mud” Before “Money”', '“Mud” before “money”', '“Mud” before “Money”', '“Mud” Before “Money”'];
        yield ['Salt', 'Salt', 'Salt', 'Salt'];
        yield ['', '', '', ''];
    }

    #[DataProvider('pageRanges')]
    public function testPageRangesAreCutAsEachStyleWants(string $typed, string $full, string $chicago, string $mla, bool $several): void
    {
        self::assertSame(
            [$full, $chicago, $mla, $several],
            [
                Pages::range($typed, Pages::FULL),
                Pages::range($typed, Pages::CHICAGO),
                Pages::range($typed, Pages::MLA),
                Pages::areSeveral($typed),
            ],
        );
    }

    /** The Chicago ones are those of its table in 9.61. @return iterable<array{string, string, string, string, bool}> */
    public static function pageRanges(): iterable
    {
        yield ['61', '61', '61', '61', false];
        yield ['3-10', '3–10', '3–10', '3–10', true];
        yield ['71-72', '71–72', '71–72', '71–72', true];
        yield ['100-104', '100–104', '100–104', '100–04', true];
        yield ['1100-1113', '1100–1113', '1100–1113', '1100–13', true];
        yield ['101-108', '101–108', '101–8', '101–08', true];
        yield ['808-833', '808–833', '808–33', '808–33', true];
        yield ['321-328', '321–328', '321–28', '321–28', true];
        yield ['498-532', '498–532', '498–532', '498–532', true];
        yield ['1087-1089', '1087–1089', '1087–89', '1087–89', true];
        yield ['1496-1500', '1496–1500', '1496–1500', '1496–500', true];
        yield ['161-3', '161–163', '161–63', '161–63', true];
        yield ['p. 12, 14', '12, 14', '12, 14', '12, 14', true];
        yield ['xii-xv', 'xii–xv', 'xii–xv', 'xii–xv', true];
        yield ['e12-e15', 'e12-e15', 'e12-e15', 'e12-e15', false];
        yield ['ch. 3', 'ch. 3', 'ch. 3', 'ch. 3', false];
    }

    /** @param array{string, string, string, string} $parts family, given, particle, suffix */
    #[DataProvider('names')]
    public function testANameIsReadAsItIsTyped(string $typed, array $parts): void
    {
        $person = Person::typed($typed);

        self::assertSame($parts, [$person->family, $person->given, $person->particle, $person->suffix]);
    }

    /** @return iterable<array{string, array{string, string, string, string}}> */
    public static function names(): iterable
    {
        yield ['Pell, Anna', ['Pell', 'Anna', '', '']];
        yield ['Anna Maria Pell', ['Pell', 'Anna Maria', '', '']];
        yield ['van der Meer, Jan', ['Meer', 'Jan', 'van der', '']];
        yield ['Jan van der Meer', ['Meer', 'Jan', 'van der', '']];
        yield ['Harl, Otto von', ['Harl', 'Otto', 'von', '']];
        yield ["d'Arle, Marie", ['Arle', 'Marie', "d'", '']];
        yield ['Pell, Jr., Adam', ['Pell', 'Adam', '', 'Jr.']];
        yield ['Pell Jr., Adam', ['Pell', 'Adam', '', 'Jr.']];
        yield ['Pell, Adam, III', ['Pell', 'Adam', '', 'III']];
        yield ['Sappho', ['Sappho', '', '', '']];
        yield ['李 明', ['明', '李', '', '']];
    }

    #[DataProvider('dates')]
    public function testADateIsReadAsItIsTyped(string $typed, ?string $stored): void
    {
        $date = PartialDate::typed($typed);

        self::assertSame($stored, $date?->stored());
        self::assertEquals($date, PartialDate::of($date?->stored() ?? ''));
    }

    /** @return iterable<array{string, string|null}> */
    public static function dates(): iterable
    {
        yield ['1994', '1994'];
        yield ['c. 1890', '1890~'];
        yield ['um 1890', '1890~'];
        yield ['1890?', '1890~'];
        yield ['3 May 1994', '1994-05-03'];
        yield ['May 3rd, 1994', '1994-05-03'];
        yield ['3. Mai 1994', '1994-05-03'];
        yield ['03.05.1994', '1994-05-03'];
        yield ['1994-05', '1994-05'];
        yield ['1994, Sept. 12', '1994-09-12'];
        yield ['31 February 1994', '1994-02'];
        yield ['forthcoming', 'forthcoming'];
        yield ['n.d.', null];
        yield ['', null];
    }

    /** @return array<string, mixed> */
    private static function row(
        Manual $style,
        array $sources,
        array $said = [],
        array $listed = [],
        ?array $citations = null,
        string $language = 'en',
    ): array {
        return [
            'style' => $style,
            'sources' => $sources,
            'said' => $said,
            'listed' => $listed,
            'citations' => $citations,
            'language' => $language,
        ];
    }

    /** @param list<Node> $runs */
    private static function marked(array $runs): string
    {
        return implode('', array_map(static fn(Node $run): string => $run->has(MarkType::Italic) ? "*{$run->text}*" : $run->text, $runs));
    }

    private static function cited(string $source, string $pages = ''): Cited
    {
        return new Cited($source, $pages);
    }

    /** @param array<string, mixed> $more */
    private static function book(string $id, string $authors, string $title, string $date, array $more = []): Source
    {
        return self::source(
            $id,
            SourceKind::Book,
            $authors,
            $title,
            $date,
            $more + ['publisher' => 'Creekside Press', 'place' => 'Harrow'],
        );
    }

    /**
     * @param string               $authors as they are typed, apart by semicolons
     * @param array<string, mixed> $more    other fields of a source
     */
    private static function source(string $id, SourceKind $kind, string $authors, string $title, string $date, array $more = []): Source
    {
        return (new Source(
            $id,
            $title,
            $kind,
            $authors === '' ? [] : array_map(Person::typed(...), explode('; ', $authors)),
            date: PartialDate::of($date),
        ))->with($more);
    }
}
