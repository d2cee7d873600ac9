<?php

declare(strict_types=1);

namespace Tests\Core;

use Embrel\Document\Style;
use Embrel\Draft\Choices;
use Embrel\Draft\Draft;
use Embrel\Draft\DraftChoices;
use Embrel\Fonts\Typefaces;
use Embrel\Pages\Book;
use Embrel\Pages\Piece;
use Embrel\Pages\Typesetter;
use Embrel\Plan\Kind;
use Embrel\Plan\Plan;
use Embrel\Plan\Properties;
use Embrel\RichText\NodeType;
use Embrel\Writer\Format;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tests\Core\Build\Build;
use Tests\Core\Build\Notes;
use Tests\Core\Build\Package;
use Tests\Core\Build\Shelved;
use Tests\Core\Build\Trees;

/** A draft in pages: what a reader of the PDF and the writer before the preview rely on. */
final class PagesTest extends TestCase
{
    private static function book(Plan $plan, Choices $choices = new Choices()): Book
    {
        return Typesetter::book(Draft::of($plan, $choices), Typefaces::shipped('en'), $choices->pictures);
    }

    /** @return list<string> the text of each page */
    private static function texts(Book $book): array
    {
        return array_map(
            static fn($page): string => implode(
                ' ',
                array_map(static fn(Piece $piece): string => $piece->kind === Piece::TEXT ? $piece->text : '', $page->pieces()),
            ),
            $book->pages,
        );
    }

    private static function long(): Plan
    {
        $plan = Build::plan(
            implode("\n", array_map(static fn(int $i): string => ($i % 3 === 0 ? '' : '  ') . "Section {$i}", range(0, 59))),
        );
        foreach (array_keys(iterator_to_array($plan->walk())) as $i => $id) {
            $plan = $plan->with(
                $plan
                    ->topic((string) $id)
                    ->withNote(
                        Build::note(
                            str_repeat('The marsh stands between the wall and the sea. ', 6 + ($i % 9)),
                            str_repeat('Every tide leaves a skin of silt. ', 5),
                        ),
                    ),
            );
        }

        return $plan;
    }

    /** @return iterable<string, array{string}> */
    public static function styles(): iterable
    {
        foreach (array_keys(Style::OWN) as $name) {
            yield $name => [$name];
        }
    }

    #[DataProvider('styles')]
    public function testContentsNameThePagesThatHeadingsAreOn(string $style): void
    {
        $book = self::book(self::long(), new Choices(draft: new DraftChoices(style: Style::own($style))));
        $texts = self::texts($book);
        $found = 0;
        foreach ($book->pages as $i => $page) {
            foreach ($page->headings as [$title]) {
                $found
                    += preg_match(
                        '/' . preg_quote($title, '/') . ' +' . ($i + 1) . '(?: |$)/',
                        $texts[0] . ' ' . ($texts[1] ?? '') . ' ' . ($texts[2] ?? '') . ' ' . ($texts[3] ?? ''),
                    ) === 1
                        ? 1
                        : 0;
            }
        }
        self::assertSame(60, $found);
    }

    #[DataProvider('styles')]
    public function testNothingStandsOutsideTheMarginsNorAloneAtTheFoot(string $name): void
    {
        $pictures = new Shelved([Package::png(900, 700), Package::png(50, 900)]);
        $style = Style::own($name);
        for ($seed = 1; $seed <= 12; ++$seed) {
            $book = self::book(
                Notes::on(Trees::random($seed, 30), $seed, $pictures->ids()),
                new Choices(pictures: $pictures, draft: new DraftChoices(style: $style)),
            );
            [$top, $right, $bottom, $left] = $style->edges();
            foreach ($book->pages as $n => $page) {
                $text = array_filter(
                    $page->pieces(),
                    static fn(Piece $piece): bool => $piece->y > $top - 1 && $piece->y < $book->height - $bottom + 1,
                );
                foreach ($text as $piece) {
                    self::assertGreaterThanOrEqual($left - 1, $piece->x, "{$name}, plan {$seed}, page {$n}");
                    self::assertLessThanOrEqual(
                        $book->width - $right + 1.5,
                        $piece->x + $piece->width,
                        "{$name}, plan {$seed}, page {$n}: {$piece->text}",
                    );
                    $piece->kind === Piece::PICTURE
                        ? self::assertLessThanOrEqual($book->height - $bottom + 1, $piece->y + $piece->height)
                        : null;
                }
                $lowest = max([0.0, ...array_map(static fn(Piece $piece): float => $piece->y, $text)]);
                foreach ($page->headings as [$title, , $y]) {
                    self::assertLessThan($lowest + 1, $y + 2, "A heading is followed by something: {$title}");
                }
            }
        }
    }

    public function testEveryWordIsThere(): void
    {
        $plan = self::long();
        $all = preg_replace('/\s+/', '', implode('', self::texts(self::book($plan))));
        self::assertSame(60 * 5, substr_count((string) $all, 'Everytideleavesaskinofsilt.'));
    }

    public function testFootnotesStandOnThePageThatRefersToThem(): void
    {
        $plan = Notes::on(Trees::random(3, 40), 3, [str_repeat('0', 64)]);
        $seen = 0;
        foreach (self::texts(self::book($plan, new Choices(draft: new DraftChoices(contents: false)))) as $text) {
            preg_match_all('/(\d+) +See the +minute book/', $text, $m);
            foreach ($m[1] as $number) {
                self::assertGreaterThanOrEqual(2, substr_count($text, $number), "The sign of footnote {$number} and the note itself.");
                ++$seen;
            }
        }
        $expected = 0;
        foreach (Draft::of($plan, new Choices())->elements as $element) {
            foreach ($element->block?->all() ?? [] as $node) {
                $expected += $node->type === NodeType::Footnote ? 1 : 0;
            }
        }
        self::assertSame($expected, $seen);
    }

    public function testHeadAndFootSayWhatTheStyleAsksFor(): void
    {
        $style = Style::of([
            'header' => ['{author}', '', '{section}'],
            'footer' => ['Draft of {date}', '{title}', 'page {page} of {pages}'],
            'has_title_page' => true,
            'title_fields' => ['subtitle', 'words'],
        ]);
        $plan = self::long()->withProperties(new Properties(subtitle: 'Sub', author: 'Ada Marsh'));
        $texts = self::texts(self::book($plan, new Choices(draft: new DraftChoices(style: $style, date: '2026-11-23'))));
        self::assertStringContainsString('Sub', $texts[0]);
        self::assertMatchesRegularExpression('/about \d+,\d00 words/', $texts[0]);
        self::assertStringNotContainsString('page 1 of', $texts[0], 'A title page has neither head nor foot.');
        $last = \count($texts);
        self::assertMatchesRegularExpression("/Draft of +23 November 2026 .*Test plan .*page +{$last} +of +{$last}/", $texts[$last - 1]);
        self::assertStringContainsString('Ada Marsh', $texts[$last - 1]);
        self::assertStringContainsString('20 Section 57', $texts[$last - 1]);
    }

    public function testThePdfIsReadAsTextWithItsOutline(): void
    {
        if (trim((string) shell_exec('command -v pdftotext')) === '') {
            self::markTestSkipped('No reader of PDF files is installed.');
        }
        $path = tempnam(sys_get_temp_dir(), 'pdf') ?: throw new \RuntimeException('No file.');
        $pictures = new Shelved([Package::png(60, 40)]);
        $out = fopen($path, 'w') ?: throw new \RuntimeException('No file.');
        Format::Pdf
            ->writer()
            ->write(self::long()->withProperties(new Properties(author: 'Ada Marsh')), new Choices(pictures: $pictures), $out, '');
        fclose($out);
        $text = (string) shell_exec('pdftotext -layout ' . escapeshellarg($path) . ' - 2>&1');
        $info = (string) shell_exec('pdfinfo ' . escapeshellarg($path) . ' 2>&1');
        $bookmarks = (string) shell_exec('pdfinfo -dests ' . escapeshellarg($path) . ' 2>&1') . (string) file_get_contents($path);
        unlink($path);
        self::assertStringContainsString('1 Section 0', $text);
        self::assertStringContainsString('The marsh stands between the wall and the sea.', $text);
        self::assertMatchesRegularExpression('/Title: +Test plan/', $info);
        self::assertStringNotContainsString('Error', $info . $text);
        self::assertSame(
            60,
            substr_count($bookmarks, '/Dest [') - substr_count($bookmarks, '/Subtype /Link'),
            'Every heading has a bookmark, and every line of the contents a link.',
        );
    }

    public function testTheTitleOfAQuoteIsNeverTheLastLineOfAPage(): void
    {
        for ($filling = 30; $filling < 60; ++$filling) {
            $plan = Build::plan("A\n  Pell says");
            $quote = Build::id($plan, 'Pell says');
            $plan = $plan->with($plan->topic(Build::id($plan, 'A'))->withNote(Build::note(...array_fill(0, $filling, 'Silt.'))))->with(
                $plan
                    ->topic($quote)
                    ->withNote(Build::note('Zwart was the water.'))
                    ->with(['kind' => Kind::Quote]),
            );
            $on = static fn(string $words): array => array_keys(
                array_filter(
                    self::texts(self::book($plan, new Choices(draft: new DraftChoices(contents: false)))),
                    static fn(string $text): bool => str_contains($text, $words),
                ),
            );
            self::assertSame($on('Zwart'), $on('Pell'), "{$filling} lines before it");
        }
    }
}
