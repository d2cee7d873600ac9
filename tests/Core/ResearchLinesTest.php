<?php

declare(strict_types=1);

namespace Tests\Core;

use Embrel\Check\Research\Guesses;
use Embrel\Citation\Person;
use Embrel\Id\CountedIds;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tests\Core\Build\Build;

/** A hundred lines as people write them among their sections: which are research, and what each says. */
final class ResearchLinesTest extends TestCase
{
    #[DataProvider('lines')]
    public function testALineIsTakenForWhatItIs(string $line, ?string $sign, string $says): void
    {
        $guess = Guesses::of(Build::plan("Section\n  {$line}"), new CountedIds('03'))[0] ?? null;
        self::assertSame(
            [$sign, $says],
            [
                $guess?->sign?->value,
                match (true) {
                    $guess === null => '',
                    $guess->source === null => $guess->text,
                    default => implode(
                        ' | ',
                        array_filter([
                            $guess->source->kind->value,
                            implode(
                                '; ',
                                array_map(
                                    static fn(Person $person): string => trim("{$person->family}, {$person->given}", ', '),
                                    $guess->source->people(),
                                ),
                            ),
                            $guess->source->title,
                            $guess->source->date?->year,
                            $guess->pages,
                            $guess->source->url,
                            $guess->source->doi,
                            $guess->source->isbn,
                            $guess->source->container,
                            $guess->source->publisher,
                        ]),
                    ),
                },
            ],
        );
    }

    /**
     * @return list<array{string, string|null, string}> the line; the sign; a quotation's text, or kind, people, title, year, pages and what else is known
     */
    public static function lines(): array
    {
        return [
            ['see ch. 3', null, ''],
            ['See also chapter 4', null, ''],
            ['see section 2.1', null, ''],
            ['see above', null, ''],
            ['cf. above, p. 12', null, ''],
            ['siehe Kap. 3', null, ''],
            ['vgl. oben', null, ''],
            ['cf. 2001', null, ''],
            ['(see 1994)', null, ''],
            ['Ibid.', null, ''],
            ['ibid., p. 14', null, ''],
            ['Ebd., S. 12', null, ''],
            ['op. cit., p. 3', null, ''],
            ['(Lind 2019)', 'reference', 'book | Lind | 2019'],
            ['(Lind, 2019)', 'reference', 'book | Lind | 2019'],
            ['(Lind 2019a)', 'reference', 'book | Lind | 2019'],
            ['(Lind & Pell 2019)', 'reference', 'book | Lind; Pell | 2019'],
            ['(Lind, Pell & Moor 2019)', 'reference', 'book | Lind; Pell; Moor | 2019'],
            ['(Lind et al. 2019)', 'reference', 'book | Lind | 2019'],
            ['(Quist 2003: 14)', 'reference', 'book | Quist | 2003 | 14'],
            ['(Quist 2003, p. 14)', 'reference', 'book | Quist | 2003 | 14'],
            ['[Quist 2003]', 'reference', 'book | Quist | 2003'],
            ['(cf. Quist 2003)', 'reference', 'book | Quist | 2003'],
            ['see Pell 1994', 'reference', 'book | Pell | 1994'],
            ['See Pell 1994, p. 61', 'reference', 'book | Pell | 1994 | 61'],
            ['cf. Pell 1994', 'reference', 'book | Pell | 1994'],
            ['vgl. Lind 2019, S. 44', 'reference', 'book | Lind | 2019 | 44'],
            ['Pell (1994)', 'reference', 'book | Pell | 1994'],
            ['Pell 1994: 61', 'reference', 'book | Pell | 1994 | 61'],
            ['Pell 1994, pp. 61-63', 'reference', 'book | Pell | 1994 | 61-63'],
            ['Pell and Moor (1998)', 'reference', 'book | Pell; Moor | 1998'],
            ['Pell 1994', null, ''],
            ['10.5555/tn.32', 'reference', 'article | doi:10.5555/tn.32 | 10.5555/tn.32'],
            ['doi:10.5555/tn.32', 'reference', 'article | doi:10.5555/tn.32 | 10.5555/tn.32'],
            ['https://doi.org/10.5555/tn.32', 'address', 'article | doi:10.5555/tn.32 | 10.5555/tn.32'],
            ['ISBN 978-1-4028-9462-6', 'reference', 'book | ISBN 978-1-4028-9462-6 | 978-1-4028-9462-6'],
            ['ISBN 1-4028-9462-7', 'reference', 'book | ISBN 1-4028-9462-7 | 1-4028-9462-7'],
            ['https://harrow.example/creek', 'address', 'web | https://harrow.example/creek | https://harrow.example/creek'],
            ['www.harrow.example', 'address', 'web | https://www.harrow.example | https://www.harrow.example'],
            ['Pell, Tides and Walls, 1994', 'reference', 'book | Pell | Tides and Walls | 1994'],
            ['Pell, Tides and Walls, 1994, p. 61', 'reference', 'book | Pell | Tides and Walls | 1994 | 61'],
            [
                'Pell, A. (1994). Tides and Walls. Harrow: Creek Press.',
                'reference',
                'book | Pell, A. | Tides and Walls | 1994 | Creek Press',
            ],
            [
                'Pell, Anna. Tides and Walls. Harrow: Creek Press, 1994.',
                'reference',
                'book | Pell, Anna | Tides and Walls | 1994 | Creek Press',
            ],
            [
                'Moor, B., & Pell, A. (1998). Mud and money. Journal of Tidal Notes, 12(3), 44-61.',
                'reference',
                'article | Moor, B.; Pell, A. | Mud and money | 1998 | Journal of Tidal Notes',
            ],
            [
                'Quist, "The price of a dyke", Tidal Notes 4 (2003), p. 14',
                'reference',
                'article | Quist | The price of a dyke | 14 | Tidal Notes',
            ],
            ['Oakes, ch. 3', 'reference', 'book | Oakes | ch. 3'],
            ['Vane 2001, ch. 3', 'reference', 'book | Vane | 2001 | ch. 3'],
            ['Brent on silt (1998)', 'reference', 'book | Brent on silt | 1998'],
            ['Amsel, Ruth: Interview, 2024', 'reference', 'book | Amsel | Ruth: Interview | 2024'],
            ['Harrow Creek Trust, Annual report, 2023', 'reference', 'book | Harrow Creek Trust | Annual report | 2023'],
            ['Ministry of Tides (2019), Saltmarsh survey', 'reference', 'book | Ministry of Tides | Saltmarsh survey | 2019'],
            ['Lind, Peat and Plover, 2nd ed., 2011', 'reference', 'book | Lind | Peat and Plover | 2011'],
            ['“A wall is a promise”', 'quotation', '“A wall is a promise”'],
            ['"A wall is a promise" (Pell 1994, p. 61)', 'quotation', '"A wall is a promise" (Pell 1994, p. 61)'],
            ['„Der Deich hält“ (Lind 2019)', 'quotation', '„Der Deich hält“ (Lind 2019)'],
            ['> The sea comes back every time', 'quotation', 'The sea comes back every time'],
            ['> > twice quoted', 'quotation', 'twice quoted'],
            ['“The wall held,” said Ruth Amsel.', 'quotation', '“The wall held,” said Ruth Amsel.'],
            ['Ruth Amsel said “we never saw the bank move” in 1953', 'quotation', 'Ruth Amsel said “we never saw the bank move” in 1953'],
            [
                'The warden told us: “nobody counts the plovers any more.”',
                'quotation',
                'The warden told us: “nobody counts the plovers any more.”',
            ],
            ['„Wir haben gewartet“, sagte der Müller', 'quotation', '„Wir haben gewartet“, sagte der Müller'],
            ['As Pell writes, “the creek remembers every wall”', 'quotation', 'As Pell writes, “the creek remembers every wall”'],
            ['‘Resolved that the creek be stopped’', 'quotation', '‘Resolved that the creek be stopped’'],
            ['«La digue tient bon»', 'quotation', '«La digue tient bon»'],
            ['Chapter 3 of the story', null, ''],
            ['Chapter 3', null, ''],
            ['The 1953 flood, p. 12', null, ''],
            ['The 1953 flood', null, ''],
            ['The flood (1953)', null, ''],
            ['The flood of 1953', null, ''],
            ['Winter 1953', null, ''],
            ['Spring 1994', null, ''],
            ['Since 1994', null, ''],
            ['January 1953: the wall goes', null, ''],
            ['In 1887 the bank was built', null, ''],
            ['Why 2050 matters', null, ''],
            ['Ten years of watching', null, ''],
            ['What “holding the line” means', null, ''],
            ['The word “marsh” and its history', null, ''],
            ['See the wall, the creek, and the mud', null, ''],
            ['See how it ends', null, ''],
            ['Part 2: the creek', null, ''],
            ['Page 12 again', null, ''],
            ['p. 12', null, ''],
            ['pp. 12-14', null, ''],
            ['Section 3.2 needs a source', null, ''],
            ['Figures 1 to 3', null, ''],
            ['Harrow Creek', null, ''],
            ['Saltmarsh (and mudflat)', null, ''],
            ['Costs (in 2020 money)', null, ''],
            ['How the wall was paid for (1887)', null, ''],
            ['Wall, mud, plovers', null, ''],
            ['Ask Ruth about 1953', null, ''],
            ['Call Lind', null, ''],
            ['To do: read Pell', null, ''],
            ['Interview with Ruth', null, ''],
            ['Map of the creek, 1887', null, ''],
            ['Before and after 1994', null, ''],
            ['No. 12 Harrow Street', null, ''],
            ['S. 4 is too long', null, ''],
            ['Notes from the meeting, 3 May 2024', null, ''],
            ['Plovers said to nest here', null, ''],
            ['The rule “no dogs” was written in 1990', null, ''],
        ];
    }
}
