<?php

declare(strict_types=1);

namespace Embrel\Writer;

use Embrel\Citation\References;
use Embrel\Plan\Plan;
use Embrel\RichText\NodeType;
use Embrel\RichText\Note;

/** Counts what a format could not express, and says it in sentences. */
final class Losses
{
    private const SAID = [
        'picture' => 'Pictures in notes (%d) are handed over by their captions only.',
        'topicPicture' => 'Pictures on topics (%d) are left out.',
        'footnote' => 'Footnotes (%d) stand in brackets in the text.',
        'source' => 'Citations (%d) name a source that the plan has no more.',
        'style' => References::STANDS_IN,
        'topicRef' => 'References (%d) name a topic that has been removed.',
        'number' => 'Numbers (%d) that no list of the format can count are written as text.',
        'noteHeading' => 'Headings in notes (%d) are bold lines, as a heading of Markdown would be a section.',
        'inItem' => 'Quotations, code, tables and pictures within list items (%d) stand behind the item.',
        'inQuotation' => 'Lists, tables and pictures within quotations (%d) stand between its paragraphs.',
        'remark' => 'Comments (%d) are left out: a template of your own has room for its own alone.',
        'plain' => 'Notes with formatting, lists or tables (%d) are plain lines of text.',
    ];

    /** @var array<string, int> */
    private array $counts = [];

    /** @param array<string, int> $missing what the document says is missing */
    public function also(array $missing): void
    {
        foreach ($missing as $what => $count) {
            $this->counts[$what] = ($this->counts[$what] ?? 0) + $count;
        }
    }

    /** The pictures on topics of a branch, for a format that holds text alone. */
    public static function ofPictures(Plan $plan, string $from): self
    {
        $losses = new self();
        foreach ($plan->walk($from) as $id => $_) {
            if ($plan->topics[$id]->picture !== null) {
                $losses->note('topicPicture');
            }
        }

        return $losses;
    }

    /** What a branch loses in a format whose notes are plain text. */
    public static function ofText(Plan $plan, string $from, bool $notes): self
    {
        $losses = self::ofPictures($plan, $from);
        foreach ($notes ? $plan->branch($from) : [] as $id) {
            $note = $plan->topics[$id]->note;
            foreach ($note?->find(NodeType::Picture) ?? [] as $_picture) {
                $losses->note('picture');
            }
            if ($note !== null && !self::isPlain($note)) {
                $losses->note('plain');
            }
        }

        return $losses;
    }

    private static function isPlain(Note $note): bool
    {
        foreach ($note->blocks as $block) {
            foreach ($block->all() as $node) {
                if (
                    $node->marks !== []
                    || $node->type->isList()
                    || \in_array($node->type, [NodeType::Heading, NodeType::Table, NodeType::CodeBlock, NodeType::Blockquote], true)
                ) {
                    return false;
                }
            }
        }

        return true;
    }

    public function note(string $what): void
    {
        $this->counts[$what] = ($this->counts[$what] ?? 0) + 1;
    }

    /** @return list<string> */
    public function sentences(): array
    {
        $said = [];
        foreach ($this->counts as $what => $count) {
            $said[] = \sprintf(self::SAID[$what], $count);
        }

        return $said;
    }
}
