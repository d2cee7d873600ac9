<?php

declare(strict_types=1);

namespace Tests\Core;

use Embrel\Archive\Shelf;
use Embrel\Document\Style;
use Embrel\Draft\Choices;
use Embrel\Draft\DraftChoices;
use Embrel\Id\CountedIds;
use Embrel\Intake\Options;
use Embrel\Plan\Kind;
use Embrel\Plan\Plan;
use Embrel\Plan\Properties;
use Embrel\Reader\Format as Reading;
use Embrel\RichText\Node;
use Embrel\RichText\NodeType;
use Embrel\RichText\Note;
use Embrel\Writer\Format;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tests\Core\Build\Build;
use Tests\Core\Build\Folder;
use Tests\Core\Build\Package;
use Tests\Core\Build\Shelved;

/** What a word processor that we did not write makes of our files, and we of its. */
final class WordProcessorTest extends TestCase
{
    use Folder;

    private static function plan(): Plan
    {
        $plan = Build::plan("Tide & sand\n  Mud\n    Deep\n  a point\nWall\n  Stone");
        $plan = $plan->with($plan->topic(Build::id($plan, 'a point'))->with(['kind' => Kind::Point]));
        $item = static fn(string $text): Node => new Node(NodeType::ListItem, [], [Node::plain($text)]);
        $blocks = [
            Node::paragraph(
                [Node::text('The marsh stands between them.'), new Node(NodeType::Footnote, [], [Node::text('As the old map has it.')])],
                Build::ulid(1),
            ),
            new Node(NodeType::OrderedList, ['id' => Build::ulid(2), 'start' => 3], [$item('third'), $item('fourth')]),
            new Node(NodeType::Picture, [
                'id' => Build::ulid(3),
                'picture' => hash('sha256', Package::png(90, 60)),
                'caption' => 'The wall in spring',
            ]),
            new Node(
                NodeType::Table,
                ['id' => Build::ulid(4)],
                [
                    new Node(
                        NodeType::TableRow,
                        [],
                        [
                            new Node(NodeType::TableHeader, [], [Node::plain('Bird')]),
                            new Node(NodeType::TableHeader, [], [Node::plain('Count')]),
                        ],
                    ),
                    new Node(
                        NodeType::TableRow,
                        [],
                        [
                            new Node(NodeType::TableCell, [], [Node::plain('Redshank')]),
                            new Node(NodeType::TableCell, [], [Node::plain('41')]),
                        ],
                    ),
                ],
            ),
        ];
        $plan = $plan->with($plan->topic(Build::id($plan, 'Mud'))->withNote(Note::of($blocks)));

        return $plan
            ->with($plan->topic(Build::id($plan, 'Stone'))->withNote(Build::note(str_repeat('Each stone was carried by hand. ', 400))))
            ->withProperties(new Properties(author: 'Ada Marsh'));
    }

    private function write(string $name, Format $format, Choices $choices, ?Plan $plan = null): void
    {
        $choices = $choices->withPictures(new Shelved([Package::png(90, 60)]))->drafted(['date' => '2026-11-25']);
        $this->written($plan ?? self::plan(), $format, $choices, pathinfo($name, PATHINFO_FILENAME));
    }

    public function testEachStyleShowsHeadingsNumbersContentsHeadAndFoot(): void
    {
        $running = [
            'report' => '/Test plan {5,}\d+$/m',
            'essay' => '/^ {20,}Ada Marsh \d+$/m',
            'manuscript' => '/Ada Marsh \/ Test plan \/ \d+$/m',
            'plain' => '/^ {20,}\d+$/m',
        ];
        self::assertSame(array_keys($running), array_keys(Style::labels()));
        foreach (['docx', 'odt'] as $kind) {
            foreach ($running as $style => $_) {
                $this->write("{$style}-{$kind}.{$kind}", Format::from($kind), new Choices(
                    draft: new DraftChoices(style: Style::own($style), figures: true),
                ));
            }
        }
        $this->made('pdf', ...glob("{$this->folder}/*.{docx,odt}", GLOB_BRACE) ?: []);
        foreach ($running as $style => $line) {
            foreach (['docx', 'odt'] as $kind) {
                $text = strtr(
                    (string) shell_exec(
                        'pdftotext -layout ' . escapeshellarg("{$this->folder}/made/{$style}-{$kind}.pdf") . ' - 2>/dev/null',
                    ),
                    "\f",
                    "\n",
                );
                $said = "{$style}, {$kind}:\n" . mb_substr($text, 0, 1500);
                self::assertMatchesRegularExpression($line, $text, $said);
                self::assertMatchesRegularExpression('/1\.1\.1 +Deep[ .]+\d+$/m', $text, "Contents of {$said}");
                foreach (['1 +Tide & sand', '1\.1 +Mud', '1\.1\.1 +Deep', '2\.1 +Stone'] as $heading) {
                    self::assertMatchesRegularExpression("/^ *{$heading}$/m", $text, $said);
                }
                foreach (
                    [
                        '/^ *3\. +third$/m',
                        '/Figure 1/',
                        '/The wall in spring/',
                        '/Redshank +41/',
                        '/As the old map has it\./',
                        '/[•·-] +a point/u',
                    ] as $found
                ) {
                    self::assertMatchesRegularExpression($found, $text, $said);
                }
            }
        }
    }

    /**
     * @return iterable<string, array{bool, bool, list<string>}> with contents, with an opening note → what each of the first pages begins with
     */
    public static function fronts(): iterable
    {
        yield 'a title page alone' => [false, false, ['Test plan', '1 Tide & sand']];
        yield 'a title page and contents' => [true, false, ['Test plan', 'Contents', '1 Tide & sand']];
        yield 'an opening note' => [false, true, ['Test plan', 'Before all else.', '1 Tide & sand']];
        yield 'contents and an opening note' => [true, true, ['Test plan', 'Contents', 'Before all else.', '1 Tide & sand']];
    }

    /** @param list<string> $begin */
    #[DataProvider('fronts')]
    public function testNoPageIsBlankAndTheTextBeginsOne(bool $contents, bool $opens, array $begin): void
    {
        $plan = self::plan();
        $plan = $opens ? $plan->with($plan->topic(Plan::ROOT)->withNote(Build::note('Before all else.'))) : $plan;
        foreach (['docx', 'odt', 'pdf'] as $kind) {
            $this->write(
                "front-{$kind}.{$kind}",
                Format::from($kind),
                new Choices(draft: new DraftChoices(contents: $contents, style: Style::own('manuscript'))),
                $plan,
            );
        }
        $this->made('pdf', ...glob("{$this->folder}/*.{docx,odt}", GLOB_BRACE) ?: []);
        foreach (["{$this->folder}/made/front-docx.pdf", "{$this->folder}/made/front-odt.pdf", "{$this->folder}/front-pdf.pdf"] as $file) {
            $pages = explode("\f", (string) shell_exec('pdftotext -layout ' . escapeshellarg($file) . ' - 2>/dev/null'));
            foreach ($begin as $i => $line) {
                $lines = array_values(
                    array_filter(
                        array_map(
                            static fn(string $one): string => (string) preg_replace('/\s+/', ' ', trim($one)),
                            explode("\n", $pages[$i] ?? ''),
                        ),
                        static fn(string $one): bool => $one !== '' && preg_match('/\AAda Marsh \/ Test plan \/ \d+\z/', $one) !== 1,
                    ),
                );
                self::assertSame($line, $lines[0] ?? 'blank', basename($file) . ', page ' . ($i + 1));
            }
        }
    }

    public function testWhatItSavedAgainIsReadWithEverythingInIt(): void
    {
        $this->write('ours.docx', Format::Docx, new Choices(draft: new DraftChoices(headingDepth: 9)));
        $this->write('theirs.odt', Format::Odt, new Choices(draft: new DraftChoices(headingDepth: 9)));
        $this->made('odt', "{$this->folder}/ours.docx");
        $this->made('docx', "{$this->folder}/theirs.odt");
        foreach (['ours.odt' => Reading::Odt, 'theirs.docx' => Reading::Docx] as $name => $format) {
            $file = fopen("{$this->folder}/made/{$name}", 'r') ?: throw new \RuntimeException($name);
            $plan = $format->read($file, new Options('', stripNumbers: true), new CountedIds('05'), $this->folder, new Shelf($this->folder))
                ->plan;
            $topics = [];
            foreach ($plan->walk() as $id => $level) {
                $topics[] = "{$level} {$plan->topic($id)->kind->value} {$plan->topic($id)->title}";
            }
            self::assertSame(
                ['1 section Tide & sand', '2 section Mud', '3 section Deep', '2 point a point', '1 section Wall', '2 section Stone'],
                $topics,
                $name,
            );
            self::assertSame(['Test plan', 'Ada Marsh'], [$plan->title(), $plan->properties->author], $name);
            $note = $plan->topic(Build::id($plan, 'Mud'))->note ?? self::fail("{$name} lost a note.");
            self::assertSame(
                ['paragraph', 'orderedList', 'picture', 'table'],
                array_map(static fn(Node $block): string => $block->type->value, array_values($note->blocks)),
                $name,
            );
            self::assertStringContainsString('The marsh stands between them. [As the old map has it.]', $note->plainText(true));
            self::assertSame(3, $note->find(NodeType::OrderedList)->current()->int('start', 1));
            $picture = $note->find(NodeType::Picture)->current();
            self::assertSame(
                [hash('sha256', Package::png(90, 60)), 'The wall in spring'],
                [$picture->string('picture'), $picture->string('caption')],
                $name,
            );
        }
    }
}
