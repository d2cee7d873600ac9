<?php

declare(strict_types=1);

namespace Embrel\Intake;

use Embrel\Id\Ids;
use Embrel\Limits;
use Embrel\Plan\Dye;
use Embrel\Plan\Edit;
use Embrel\Plan\Kind;
use Embrel\Plan\Label;
use Embrel\Plan\Plan;
use Embrel\Plan\Topic;
use Embrel\RichText\Node;
use Embrel\RichText\Note;
use Embrel\RichText\Text;

/**
 * A plan that grows while a file is read, topic after topic in reading order. Levels that were
 * skipped are closed up, titles that are too long run on in the note, and each repair is counted.
 */
final class Growing
{
    private Plan $plan;
    private Edit $edit;
    /** @var list<array{level: int, id: string, isItem: bool}> the open branch, outermost first */
    private array $open = [];
    private int $topics = 0;
    /** @var array<string, int> */
    private array $repairs = [];
    private int $mainSections = 0;

    public function __construct(private readonly Ids $ids, string $title)
    {
        $this->plan = Plan::titled($this->cut($title)[0]);
        $this->edit = new Edit($this->plan);
    }

    public function count(): int
    {
        return $this->topics;
    }

    public function isFull(): bool
    {
        return $this->topics >= Limits::TOPICS;
    }

    /** How deep the next topic at a level would stand, from 1. */
    public function depthAt(int $level): int
    {
        $depth = 1;
        foreach ($this->open as $one) {
            $depth += $one['level'] < $level ? 1 : 0;
        }

        return $depth;
    }

    /**
     * @param int        $level   of the file, from 1; gaps are closed
     * @param list<Node> $blocks  of its note; ids are given here
     * @param \Closure(Topic): Topic|null $dress sets more fields
     *
     * @return string the id of the topic
     */
    public function add(int $level, string $title, array $blocks = [], ?\Closure $dress = null, string $under = Plan::ROOT): string
    {
        while ($this->open !== [] && $this->open[\count($this->open) - 1]['level'] >= $level) {
            array_pop($this->open);
        }
        $parent = $this->open === [] ? $under : $this->open[\count($this->open) - 1]['id'];
        [$title, $rest] = $this->cut($title);
        $topic = new Topic($this->ids->next(), $title);
        if ($dress !== null) {
            $topic = $dress($topic);
        }
        if ($parent === Plan::ROOT && $topic->dye === null) {
            $topic = $topic->with(['dye' => Dye::of(Dye::NAMES[$this->mainSections++ % \count(Dye::NAMES)])->given()]);
        }
        if ($rest !== '' || $blocks !== []) {
            $topic = $topic->withNote($this->note($rest === '' ? $blocks : [Node::plain($rest), ...$blocks]));
        }
        $this->edit->append($topic, $parent);
        $this->open[] = ['level' => $level, 'id' => $topic->id, 'isItem' => $topic->kind !== Kind::Section];
        ++$this->topics;

        return $topic->id;
    }

    /** @param list<Node> $blocks */
    public function opening(array $blocks, string $title = ''): void
    {
        $root = $this->plan->topic(Plan::ROOT);
        if ($title !== '') {
            [$title, $rest] = $this->cut($title);
            $root = $root->withTitle($title);
            $blocks = $rest === '' ? $blocks : [Node::plain($rest), ...$blocks];
        }
        $this->edit->put($blocks === [] ? $root : $root->withNote($this->note($blocks)));
    }

    /** A heading is under headings alone: points and quotations that stand open hold no more. */
    public function endItems(): void
    {
        while ($this->open !== [] && $this->open[\count($this->open) - 1]['isItem']) {
            array_pop($this->open);
        }
    }

    /** Starts a new run of topics, at the top again. */
    public function close(): void
    {
        $this->open = [];
    }

    public function repaired(string $sentence): void
    {
        $this->repairs[$sentence] = ($this->repairs[$sentence] ?? 0) + 1;
    }

    /** @return list<string> */
    public function repairs(): array
    {
        $said = [];
        foreach ($this->repairs as $sentence => $count) {
            $said[] = $count > 1 ? "{$sentence} ({$count} times)" : $sentence;
        }

        return $said;
    }

    public function done(): Plan
    {
        return Label::complete($this->edit->done());
    }

    /** @param list<Node> $blocks */
    private function note(array $blocks): Note
    {
        foreach ($blocks as $i => $block) {
            if ($block->depth() > Limits::NOTE_DEPTH) {
                $blocks[$i] = $block->within(Limits::NOTE_DEPTH);
                $this->repaired(
                    'Lists or quotations that were nested deeper than a note can hold stand at the deepest level that there is.',
                );
            }
        }

        return Note::of(array_map(fn(Node $block): Node => $block->id() === null ? $block->withId($this->ids->next()) : $block, $blocks));
    }

    /** @return array{string, string} a title within the limit, and what did not fit */
    private function cut(string $title): array
    {
        $clean = Text::line($title);
        if ($clean !== trim($title) && preg_match('/[\x00-\x08\x0B\x0C\x0E-\x1F\x7F]/', $title) === 1) {
            $this->repaired('Control characters were taken out of a title.');
        }
        if (\strlen($clean) <= Limits::TITLE || mb_strlen($clean) <= Limits::TITLE) {
            return [$clean, ''];
        }
        $this->repaired('A title was longer than ' . number_format(Limits::TITLE) . ' characters; the rest of it is in the note.');

        return [mb_substr($clean, 0, Limits::TITLE), mb_substr($clean, Limits::TITLE)];
    }
}
