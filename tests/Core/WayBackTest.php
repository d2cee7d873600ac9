<?php

declare(strict_types=1);

namespace Tests\Core;

use Embrel\Document\Heard;
use Embrel\Document\Remark;
use Embrel\Draft\Choices;
use Embrel\Draft\DraftChoices;
use Embrel\Id\CountedIds;
use Embrel\Intake\Options;
use Embrel\Intake\WayBack\Acceptance;
use Embrel\Intake\WayBack\Change;
use Embrel\Intake\WayBack\Comparison;
use Embrel\Intake\WayBack\WordDiff;
use Embrel\Operation\SetTerm;
use Embrel\Plan\Kind;
use Embrel\Plan\Plan;
use Embrel\Reader\Format as Reading;
use Embrel\RichText\Mark;
use Embrel\RichText\MarkType;
use Embrel\RichText\Node;
use Embrel\RichText\NodeType;
use Embrel\RichText\Note;
use Embrel\Writer\Format as Writing;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tests\Core\Build\Build;
use Tests\Core\Build\Notes;
use Tests\Core\Build\Package;
use Tests\Core\Build\Shelved;
use Tests\Core\Build\Trees;

/** A draft that was handed over, changed elsewhere, and comes home. */
final class WayBackTest extends TestCase
{
    private static function plan(): Plan
    {
        $plan = Build::plan("Tide\n  Mud\n  Sand\n  a point\nWall\nShore");
        $plan = $plan->with($plan->topic(Build::id($plan, 'a point'))->with(['kind' => Kind::Point]));
        $note = Note::of([
            Node::plain('The first words stay as they are.', Build::ulid(41)),
            Node::paragraph(
                [Node::text('It leads to '), new Node(NodeType::TopicRef, ['topic' => Build::id($plan, 'Wall')]), Node::text(' below.')],
                Build::ulid(42),
            ),
        ]);

        return $plan
            ->with($plan->topic(Build::id($plan, 'Mud'))->withNote($note))
            ->with($plan->topic(Build::id($plan, 'Wall'))->withNote(Build::note('The wall was dear to seven parishes and to the sea.')));
    }

    private static function written(Writing $format, Plan $plan, ?Choices $choices = null): string
    {
        $work = sys_get_temp_dir() . '/embrel-back-' . bin2hex(random_bytes(6));
        mkdir($work);
        $out = fopen('php://temp', 'w+') ?: throw new \RuntimeException('No stream.');
        $format->writer()->write($plan, $choices ?? new Choices(draft: new DraftChoices(headingDepth: 9, marks: true)), $out, $work);
        rewind($out);
        exec('rm -rf ' . escapeshellarg($work));

        return (string) stream_get_contents($out);
    }

    private static function compared(Plan $plan, Reading $format, string $file): Comparison
    {
        $read = Build::intake(
            $format,
            $file,
            new Options('', firstIsTitle: $format === Reading::Markdown, references: false),
            new CountedIds('07'),
        );

        return Comparison::of($plan, $read->plan, $read->came);
    }

    /** The document with its main part changed, as a word processor would. */
    private static function edited(string $docx, \Closure $edit): string
    {
        $parts = Package::parts($docx);
        $parts['word/document.xml'] = $edit($parts['word/document.xml']);

        return Package::zip($parts);
    }

    /** @return iterable<string, array{Writing, Reading}> */
    public static function formats(): iterable
    {
        yield 'docx' => [Writing::Docx, Reading::Docx];
        yield 'odt' => [Writing::Odt, Reading::Odt];
        yield 'html' => [Writing::Html, Reading::Html];
        yield 'Markdown' => [Writing::Markdown, Reading::Markdown];
    }

    #[DataProvider('formats')]
    public function testWhatWasNotChangedDiffersInNothing(Writing $writing, Reading $reading): void
    {
        self::assertSame(
            [],
            array_map(
                static fn(Change $change): string => $change->key(),
                self::compared(self::plan(), $reading, self::written($writing, self::plan()))->changes,
            ),
        );
        for ($seed = 1; $seed <= 25; ++$seed) {
            $plan = Notes::on(Trees::random($seed, 25), $seed, [str_repeat('0', 64)]);
            // Pictures that are not at hand leave their words only.
            $plan = array_reduce(
                $plan->topics,
                static fn(Plan $so, $topic): Plan => $topic->note === null
                    ? $so
                    : $so->with(
                        $topic->withNote(
                            Note::of(
                                array_filter($topic->note->blocks, static fn(Node $block): bool => $block->type !== NodeType::Picture),
                            ),
                        ),
                    ),
                $plan,
            );
            self::assertSame(
                [],
                array_map(
                    static fn(Change $change): string => $change->key() . json_encode($change->words, JSON_UNESCAPED_UNICODE),
                    self::compared($plan, $reading, self::written($writing, $plan))->changes,
                ),
                "plan {$seed}",
            );
        }
    }

    /**
     * What was printed of terms is no text of the writer's; and scaffolding, which was not printed, stays when a
     * paragraph beside it is taken.
     */
    #[DataProvider('formats')]
    public function testGlossaryIndexAndScaffoldingAreNoChange(Writing $writing, Reading $reading): void
    {
        $scaffold = [new Mark(MarkType::Scaffold)];
        $note = Note::of([
            Node::paragraph([Node::text('First: ', $scaffold), Node::text('The mud is deep.')], Build::ulid(60)),
            Node::paragraph([Node::text('All of it waits.', $scaffold)], Build::ulid(61)),
            Node::plain('A last word.', Build::ulid(62)),
        ]);
        $plan = self::plan();
        $plan = $plan->with($plan->topic(Build::id($plan, 'Sand'))->withNote($note));
        foreach (['mud' => 'What is left', 'parish' => ''] as $words => $says) {
            $plan = (new SetTerm($words, $says))->apply($plan);
        }
        $choices = new Choices(draft: new DraftChoices(headingDepth: 9, marks: true, glossary: true, index: true));
        $file = self::written($writing, $plan, $choices);
        $keys = static fn(Comparison $compared): array => array_map(
            static fn(Change $change): string => $change->key() . json_encode($change->words, JSON_UNESCAPED_UNICODE),
            $compared->changes,
        );
        self::assertSame([], $keys(self::compared($plan, $reading, $file)));
        if ($writing === Writing::Html) {
            $compared = self::compared($plan, $reading, str_replace('A last word.', 'Another last word.', $file));
            self::assertCount(1, $compared->changes);
            $all = array_map(static fn(Change $change): string => $change->key(), $compared->changes);
            $after = Acceptance::of($compared, $all, new CountedIds('08'))->apply($plan);
            $blocks = $after->topic(Build::id($plan, 'Sand'))->note?->blocks ?? [];
            self::assertSame(
                ['First: The mud is deep.', 'All of it waits.', 'Another last word.'],
                array_map(static fn(Node $block): string => $block->plainText(), array_values($blocks)),
            );
        }
    }

    #[DataProvider('formats')]
    public function testFiguresThatWereCountedAreNoChange(Writing $writing, Reading $reading): void
    {
        $png = Package::png(60, 40);
        $pictures = new Shelved([$png]);
        foreach (['The wall in 1890', 'Figure 7. A caption of the writer’s own'] as $caption) {
            $plan = self::plan();
            $picture = (new Node(NodeType::Picture, ['picture' => $pictures->ids()[0], 'caption' => $caption, 'alt' => 'A wall']))->withId(
                Build::ulid(51),
            );
            $plan = $plan->with(
                $plan->topic(Build::id($plan, 'Sand'))->withNote(Note::of([Node::plain('Before it.', Build::ulid(50)), $picture])),
            );
            $figures = !str_starts_with($caption, 'Figure');
            $file = self::written($writing, $plan, new Choices(
                pictures: $pictures,
                draft: new DraftChoices(headingDepth: 9, figures: $figures, marks: true),
            ));
            $words = array_map(
                static fn(Change $change): string => $change->key() . json_encode($change->words, JSON_UNESCAPED_UNICODE),
                self::compared($plan, $reading, $file)->changes,
            );
            self::assertSame([], $words, $caption);
        }
    }

    public function testEachKindOfChangeIsSeenAndTaken(): void
    {
        $plan = self::plan();
        $docx = self::edited(self::written(Writing::Docx, $plan), static function (string $xml): string {
            preg_match('/<w:p><w:pPr><w:pStyle w:val="Heading1"\/>.{0,300}?>Shore<.*?<\/w:p>/s', $xml, $shore);
            $xml = str_replace($shore[0], '', $xml);
            $xml
                = preg_replace(
                    '/(<w:p><w:pPr><w:pStyle w:val="Heading1"\/>(?:(?!<\/w:p>).)*>Tide<)/s',
                    str_replace('$', '\$', $shore[0]) . '$1',
                    $xml,
                ) ?? '';
            $xml = str_replace(
                ['>Wall</w:t></w:r><w:bookmarkEnd', 'dear to seven parishes'],
                ['>The sea wall</w:t></w:r><w:bookmarkEnd', 'dear to nine parishes'],
                $xml,
            );
            $xml
                = preg_replace(
                    '/<w:p><w:pPr><w:pStyle w:val="Heading2"\/>(?:(?!<\/w:p>).)*>Sand<.*?<\/w:p>/s',
                    Package::paragraph('Silt', '<w:pStyle w:val="Heading2"/>') . Package::paragraph('All of it is new.'),
                    $xml,
                ) ?? '';

            return $xml;
        });
        $comparison = self::compared($plan, Reading::Docx, $docx);
        $kinds = [];
        foreach ($comparison->changes as $change) {
            $kinds[$change->kind][] = $change->title;
        }
        ksort($kinds);
        self::assertSame(
            ['added' => ['Silt'], 'moved' => ['Shore'], 'removed' => ['Sand'], 'retitled' => ['Wall'], 'rewritten' => ['Wall']],
            $kinds,
        );
        self::assertSame(1.0, $comparison->sureness());
        $rewritten = array_values(
            array_filter($comparison->changes, static fn(Change $change): bool => $change->kind === Change::REWRITTEN),
        )[0];
        self::assertSame(
            [['=', 'The wall was dear to '], ['-', 'seven '], ['+', 'nine '], ['=', 'parishes and to the sea.']],
            $rewritten->words,
        );

        $all = array_map(static fn(Change $change): string => $change->key(), $comparison->changes);
        $operation = Acceptance::of($comparison, $all, new CountedIds('08'));
        $after = $operation->apply($plan);
        self::assertSame("Shore\nTide\n  Mud\n  Silt\n  a point\nThe sea wall", Build::outline($after));
        self::assertSame('The wall was dear to nine parishes and to the sea.', $after->topic(Build::id($plan, 'Wall'))->note?->plainText());
        self::assertSame(
            $plan->topic(Build::id($plan, 'Mud'))->note,
            $after->topic(Build::id($plan, 'Mud'))->note,
            'What says the same stays as it is.',
        );
        self::assertSame(
            Build::outline($plan),
            Build::outline(Build::back($plan, $after)),
            'One undo takes all of it back.',
        );

        $some = Acceptance::of($comparison, ['retitled-' . Build::id($plan, 'Wall')], new CountedIds('09'))->apply($plan);
        self::assertSame("Tide\n  Mud\n  Sand\n  a point\nThe sea wall\nShore", Build::outline($some));
    }

    /** @return iterable<string, array{Reading, string}> */
    public static function discussed(): iterable
    {
        $w = 'xmlns:w="http://schemas.openxmlformats.org/wordprocessingml/2006/main"';
        $docx = Package::docx(
            '<w:p><w:pPr><w:pStyle w:val="Heading1"/></w:pPr><w:r><w:t>Mud</w:t></w:r></w:p><w:p><w:r><w:t xml:space="preserve">It is '
                . '</w:t></w:r><w:ins w:id="1" w:author="Ada"><w:r><w:t>very </w:t></w:r></w:ins><w:del w:id="2" '
                . 'w:author="Bo"><w:r><w:delText>hardly </w:delText></w:r></w:del><w:r><w:t>soft.</w:t></w:r><w:r><w:commentReference '
                . 'w:id="7"/></w:r></w:p>',
            parts: [
                'word/comments.xml' => "<w:comments {$w}><w:comment w:id=\"7\" w:author=\"Cy\"><w:p><w:r><w:t>Is it?</w:t></w:r></w:p></w:comment></w:comments>",
            ],
            relations: '<Relationship Id="rc" Type="http://schemas.openxmlformats.org/officeDocument/2006/relationships/comments" '
                . 'Target="comments.xml"/>',
        );
        yield 'docx' => [Reading::Docx, $docx];
        yield 'odt' => [
            Reading::Odt,
            Package::odt(
                '<text:tracked-changes><text:changed-region '
                    . 'text:id="c1"><text:insertion><office:change-info><dc:creator>Ada</dc:creator><dc:date>2026-01-01</dc:date></office:change-info></text:insertion></text:changed-region><text:changed-region text:id="c2"><text:deletion><office:change-info><dc:creator>Bo</dc:creator></office:change-info><text:p>hardly </text:p></text:deletion></text:changed-region></text:tracked-changes>'
                    . '<text:h text:outline-level="1">Mud</text:h><text:p>It is <text:change-start text:change-id="c1"/>very '
                        . '<text:change-end text:change-id="c1"/><text:change '
                        . 'text:change-id="c2"/>soft.<office:annotation><dc:creator>Cy</dc:creator><text:p>Is '
                        . 'it?</text:p></office:annotation></text:p>',
            ),
        ];
    }

    #[DataProvider('discussed')]
    public function testWhatOthersRecordedAndSaidIsHeard(Reading $format, string $file): void
    {
        $read = static fn(bool $refuses) => Build::intake($format, $file, new Options('', refusesRecorded: $refuses), new CountedIds('07'));
        $mud = Build::id($read(false)->plan, 'Mud');
        self::assertSame(
            [['inserted', 'Ada', 'very'], ['deleted', 'Bo', 'hardly'], ['comment', 'Cy', 'Is it?']],
            array_map(static fn(Heard $one): array => array_values($one->toArray()), $read(false)->heard[$mud]),
        );
        self::assertSame(
            ['It is very soft.', 'It is hardly soft.'],
            [$read(false)->plan->topic($mud)->note?->plainText(), $read(true)->plan->topic($mud)->note?->plainText()],
        );
    }

    public function testWithoutItsMarksAFileIsMatchedByTitlesAndText(): void
    {
        $plan = self::plan();
        $docx = self::edited(
            self::written(Writing::Docx, $plan),
            static fn(string $xml): string => str_replace(
                ['>Wall</w:t></w:r><w:bookmarkEnd', 'seven parishes'],
                ['>What it cost</w:t></w:r><w:bookmarkEnd', 'nine parishes'],
                $xml,
            ),
        );
        $docx = self::edited($docx, static fn(string $xml): string => preg_replace('/<w:bookmark(?:Start|End)[^>]*>/', '', $xml) ?? '');
        $comparison = self::compared($plan, Reading::Docx, $docx);
        self::assertGreaterThan(0.5, $comparison->sureness());
        self::assertLessThan(1.0, $comparison->sureness());
        $retitled = array_values(array_filter($comparison->changes, static fn(Change $change): bool => $change->kind === Change::RETITLED));
        self::assertSame(['Wall'], array_column($retitled, 'title'));
        self::assertLessThan(0.9, $retitled[0]->sure);
        self::assertSame(0.0, self::compared($plan, Reading::Html, '<h1>Something else entirely</h1>')->sureness());
    }

    public function testABranchIsComparedWithItselfAlone(): void
    {
        $plan = self::plan();
        $work = sys_get_temp_dir() . '/embrel-branch-' . bin2hex(random_bytes(6));
        mkdir($work);
        $out = fopen('php://temp', 'w+') ?: throw new \RuntimeException('No stream.');
        Writing::Docx->writer()->write($plan, new Choices(Build::id($plan, 'Tide'), draft: new DraftChoices(headingDepth: 9)), $out, $work);
        rewind($out);
        exec('rm -rf ' . escapeshellarg($work));
        $comparison = self::compared($plan, Reading::Docx, (string) stream_get_contents($out));
        self::assertSame([[], Build::id($plan, 'Tide')], [$comparison->changes, $comparison->scope]);
    }

    public function testWordsAreToldApart(): void
    {
        self::assertSame([['=', 'a '], ['-', 'b '], ['+', 'x y '], ['=', 'c']], WordDiff::between('a b c', 'a x y c'));
        self::assertSame([], WordDiff::between('', ''));
        self::assertSame([['-', 'gone']], WordDiff::between('gone', ''));
        mt_srand(7);
        for ($i = 0; $i < 200; ++$i) {
            [$one, $other] = array_map(
                static fn(): string => implode(' ', array_map(static fn(): string => 'abcde'[mt_rand(0, 4)], range(1, mt_rand(1, 30)))),
                [1, 2],
            );
            $diff = WordDiff::between($one, $other);
            $side = static fn(string $without): string => implode(
                '',
                array_map(static fn(array $piece): string => $piece[0] === $without ? '' : $piece[1], $diff),
            );
            self::assertSame([$one, $other], [$side('+'), $side('-')]);
        }
    }

    /** @return iterable<string, array{Writing}> */
    public static function commentedFormats(): iterable
    {
        yield 'docx' => [Writing::Docx];
        yield 'odt' => [Writing::Odt];
    }

    #[DataProvider('commentedFormats')]
    public function testWhatWasSaidGoesOutAsCommentsAndComesHomeToItsTopic(Writing $format): void
    {
        $plan = Build::plan("Wall\n  Clay\nTide");
        [$wall, $clay, $tide] = array_map(static fn(string $one): string => Build::id($plan, $one), ['Wall', 'Clay', 'Tide']);
        $block = '01ARZ3NDEKTSV4RRFFQ69G5FAV';
        $plan = $plan->with($plan->topic($clay)->withNote(Note::of([Node::plain('The minute book tells.', $block)])));
        $remark = static fn(string $topic, string $block, string $text): Remark => new Remark(
            $topic,
            $block,
            'Ondine Lark',
            '2026-11-20T10:00:00Z',
            $text,
            $block === '' ? '' : 'minute book',
        );
        $remarks = [
            $remark($wall, '', 'Which wall?'),
            $remark($clay, $block, 'Which book?'),
            $remark('01ARZ3NDEKTSV4RRFFQ69G5FAA', '', 'Gone'),
        ];
        $out = fopen('php://temp', 'w+') ?: self::fail('No stream.');
        $work = sys_get_temp_dir() . '/embrel-remarks-' . bin2hex(random_bytes(6));
        mkdir($work);
        $format->writer()->write($plan, new Choices(draft: new DraftChoices(remarks: $remarks)), $out, $work);
        rewind($out);
        $read = Reading::from($format->value)->read($out, new Options(''), new CountedIds(), $work, new \Embrel\Archive\Shelf($work));
        exec('rm -rf ' . escapeshellarg($work));
        $heard = [];
        foreach ($read->heard as $there => $all) {
            foreach ($all as $one) {
                $heard[(string) array_search((string) $there, $read->came, true)][] = [$one->who, $one->text];
            }
        }
        self::assertSame(
            [$wall => [['Ondine Lark', 'Which wall?']], $clay => [['Ondine Lark', '“minute book” Which book?']]],
            array_map(static fn(array $all): array => $all, $heard),
        );
        self::assertArrayNotHasKey($tide, $heard);
    }
}
