<?php

declare(strict_types=1);

namespace Tests\Core;

use Embrel\Document\Element;
use Embrel\Draft\Choices;
use Embrel\Draft\Draft;
use Embrel\Draft\DraftChoices;
use Embrel\Operation\OperationRefused;
use Embrel\Operation\SetTerm;
use Embrel\Plan\Edit;
use Embrel\Plan\Plan;
use Embrel\RichText\Mark;
use Embrel\RichText\MarkType;
use Embrel\RichText\Node;
use Embrel\RichText\NodeType;
use Embrel\RichText\Note;
use Embrel\Writer\Format;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;
use Tests\Core\Build\Build;
use Tests\Core\Build\Folder;

/** Terms that were chosen: a glossary of what they mean, and an index of where they stand. */
final class IndexTest extends TestCase
{
    use Folder;

    /** @param array<string, string> $terms */
    private static function chosen(Plan $plan, array $terms): Plan
    {
        foreach ($terms as $words => $says) {
            $plan = (new SetTerm((string) $words, $says))->apply($plan);
        }

        return $plan;
    }

    public function testTermsAreChosenExplainedAndLetGo(): void
    {
        $plan = self::chosen(Plan::titled('Terms'), ['sea wall' => '', 'bass' => 'A fish', 'Sea Wall' => 'What keeps the sea out']);
        self::assertSame(['bass' => 'A fish', 'Sea Wall' => 'What keeps the sea out'], $plan->properties->terms, 'A term is there once.');
        self::assertSame(['bass' => 'A fish'], (new SetTerm('SEA WALL', null))->apply($plan)->properties->terms);
        self::assertEquals($plan->properties, $plan->properties->withThings([]));
        self::assertEquals($plan->properties, $plan->properties->with($plan->properties->toArray()));
        self::assertEquals(Plan::titled('Terms'), Build::back(Plan::titled('Terms'), $plan));
    }

    #[TestWith([''])]
    #[TestWith([" \n "])]
    #[TestWith(['x', 1_001])]
    public function testWhatIsNoTermIsRefused(string $words, int $long = 0): void
    {
        $this->expectException(OperationRefused::class);
        (new SetTerm($words, str_repeat('x', $long)))->apply(Plan::titled('Terms'));
    }

    private static function plan(): Plan
    {
        $plan = Build::plan("Walls\n  The sea wall\nMarsh\n  Birds");
        $note = static fn(Node ...$inlines): Note => Note::of([Node::paragraph(array_values($inlines), Build::ulid(71))]);
        $edit = new Edit($plan);
        $edit->put($plan->topic(Build::id($plan, 'Walls'))->withNote($note(
            Node::text('Old '),
            Node::text('sea-walls leak', [new Mark(MarkType::Bold)]),
            Node::text('. A sea wall of clay.'),
        )));
        $edit->put($plan->topic(Build::id($plan, 'Birds'))->withNote($note(Node::text('Bass and the sea, a wall.'))));

        return self::chosen($edit->done(), ['sea wall' => 'Keeps the “sea” out', 'bass' => '', 'heron' => 'Stands nowhere']);
    }

    /** @return list<Element> */
    private static function elements(Plan $plan, bool $glossary = true, bool $index = true): array
    {
        return Draft::of($plan, new Choices(draft: new DraftChoices(glossary: $glossary, index: $index)))->elements;
    }

    public function testTheGlossaryHasWhatIsExplainedAndTheIndexWhatStandsThere(): void
    {
        $elements = self::elements(self::plan());
        $ends = array_map(
            static fn(Element $one): string => $one->role->value . ' ' . ($one->title ?: $one->block?->plainText()),
            \array_slice($elements, -6),
        );
        self::assertSame([
            'heading Glossary',
            'body heron: Stands nowhere',
            'body sea wall: Keeps the “sea” out',
            'heading Index',
            'index-entry bass',
            'index-entry sea wall',
        ], $ends);
        $entry = $elements[\count($elements) - 1];
        self::assertSame('sea wall: 1, 1.1', $entry->block?->plainText());
        self::assertCount(2, $entry->places, 'Once in each paragraph or title, in whatever form; not where other words are between.');
    }

    public function testTheTextIsTheSameWithMarksInIt(): void
    {
        $text = static fn(array $elements): string => implode("\n", array_map(
            static fn(Element $one): string => $one->topic === 'index' ? '' : "{$one->title} {$one->block?->plainText()}",
            $elements,
        ));
        self::assertSame($text(self::elements(self::plan(), false, false)), trim($text(self::elements(self::plan(), false))));
        $runs = [];
        foreach (self::elements(self::plan(), false) as $element) {
            foreach ($element->block?->all() ?? [] as $node) {
                $node->type === NodeType::Text && $node->string('place') !== null ? $runs[] = [
                    $node->text,
                    $node->has(MarkType::Bold),
                ] : null;
            }
        }
        self::assertSame([['sea-walls', true], ['Bass', false]], $runs);
    }

    public function testWithoutTermsNothingIsAdded(): void
    {
        $plan = Build::plan("Walls\nMarsh");
        self::assertEquals(self::elements($plan, false, false), self::elements($plan));
        self::assertEquals(self::elements($plan, false, false), self::elements(self::chosen($plan, ['heron' => ''])));
    }

    /**
     * In files with pages, the pages of the index are those where the terms are. The judges: poppler, and a word
     * processor that sets the pages.
     */
    #[TestWith([Format::Pdf])]
    #[TestWith([Format::Docx])]
    #[TestWith([Format::Odt])]
    public function testThePagesAreThoseWhereTheTermsStand(Format $format): void
    {
        self::needs('pdftotext');
        $lines = [];
        for ($i = 0; $i < 24; ++$i) {
            $lines[] = 'Part ' . ($i + 1);
        }
        $plan = Build::plan(implode("\n", $lines));
        $edit = new Edit($plan);
        foreach ($plan->parts(Plan::ROOT) as $i => $id) {
            $blocks = [];
            for ($p = 0; $p < 4; ++$p) {
                $special = match (true) {
                    $i % 6 === 2 && $p === 1 => ' Samphires grow there.',
                    $i === 20 && $p === 3 => ' A curlew’s nest was found.',
                    default => '',
                };
                $blocks[] = Node::plain(
                    str_repeat('It was so and it went on as it had gone on before that. ', 9) . $special,
                    Build::ulid(500 + $i * 4 + $p),
                );
            }
            $edit->put($plan->topic($id)->withNote(Note::of($blocks)));
        }
        $plan = self::chosen($edit->done(), ['samphire' => '', 'curlew’s nest' => '']);
        $path = $this->written($plan, $format, new Choices(draft: new DraftChoices(index: true)));
        if ($format !== Format::Pdf) {
            $path = $this->made('pdf', $path);
        }
        $pages = explode("\f", (string) shell_exec('pdftotext -layout ' . escapeshellarg($path) . ' -'));
        $index = implode('', \array_slice($pages, -3));
        foreach (['samphire' => 'Samphires', 'curlew’s nest' => 'curlew’s nest'] as $term => $form) {
            $is = array_keys(
                array_filter($pages, static fn(string $page): bool => str_contains((string) preg_replace('/\s+/', ' ', $page), $form)),
            );
            if ($term !== 'samphire') {
                // The index names it too.
                array_pop($is);
            }
            self::assertSame(1, preg_match("/^\s*{$term}((?:, \d+)+)\s*$/mu", $index, $m), $index);
            self::assertSame(array_map(static fn(int $page): string => (string) ($page + 1), $is), explode(', ', ltrim($m[1], ', ')));
        }
    }
}
