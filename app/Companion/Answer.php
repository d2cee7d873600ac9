<?php

declare(strict_types=1);

namespace App\Companion;

use App\Store\NewIds;
use App\Store\WorkFolder;
use Embrel\Archive\Shelf;
use Embrel\Intake\Options;
use Embrel\Limits;
use Embrel\Plan\Plan;
use Embrel\Prompt\Helper\Wish;
use Embrel\Reader\Format;
use Embrel\Reader\TextOutline\Generated;
use Embrel\RichText\Mark;
use Embrel\RichText\MarkType;
use Embrel\RichText\Node;
use Embrel\RichText\NodeType;

/**
 * What a helper answered, read like any text that comes from elsewhere: topics of a list, or blocks of a text, all of it
 * marked as scaffolding, so that nothing of it prints before its writer has rewritten it.
 */
final class Answer
{
    private const TOPICS = 100;
    /** What of a block can stand in a note that is to be rewritten: words. */
    private const TEXT = [NodeType::Paragraph, NodeType::Heading, NodeType::BulletList, NodeType::OrderedList, NodeType::Blockquote];

    /** @return array{topics: list<array{title: string, level: int}>, blocks: list<array<string, mixed>>} one of both is empty */
    public static function read(string $text, Wish $wish): array
    {
        $plan = self::plan($wish->isList() ? Generated::outline($text) : null, $text);

        return $wish->isList()
            ? ['topics' => self::topics($plan), 'blocks' => []]
            : ['topics' => [], 'blocks' => array_map(static fn(Node $block): array => $block->toArray(), self::blocks($plan))];
    }

    private static function plan(?string $outline, string $text): Plan
    {
        $in = fopen('php://temp', 'w+') ?: throw new \RuntimeException('There is no room for an answer.');
        fwrite($in, $outline ?? mb_scrub($text));
        rewind($in);

        return WorkFolder::with(static fn(string $folder): Plan => ($outline === null ? Format::Markdown : Format::Text)->read(
            $in,
            new Options(lists: true),
            new NewIds(),
            $folder,
            new Shelf($folder),
        )->plan);
    }

    /** @return list<array{title: string, level: int}> in order; level from 0 */
    private static function topics(Plan $plan): array
    {
        $topics = [];
        foreach ($plan->walk() as $id => $level) {
            $title = mb_substr($plan->topics[$id]->title, 0, Limits::TITLE);
            $title === '' ? null : $topics[] = ['title' => $title, 'level' => $level - 1];
            if (\count($topics) === self::TOPICS) {
                break;
            }
        }
        if ($topics === []) {
            foreach (self::blocks($plan) as $block) {
                $topics[] = ['title' => mb_substr(strtr($block->plainText(), "\n", ' '), 0, Limits::TITLE), 'level' => 0];
            }
        }

        return $topics;
    }

    /** @return list<Node> */
    private static function blocks(Plan $plan): array
    {
        $ids = new NewIds();
        $blocks = [];
        foreach ($plan->order() as $id) {
            $topic = $plan->topics[$id];
            if ($id !== Plan::ROOT && $topic->title !== '') {
                $blocks[] = Node::paragraph(
                    [Node::text($topic->title, [new Mark(MarkType::Bold), new Mark(MarkType::Scaffold)])],
                    $ids->next(),
                );
            }
            foreach ($topic->note->blocks ?? [] as $block) {
                if (\in_array($block->type, self::TEXT, true) && trim($block->plainText()) !== '') {
                    $blocks[] = self::marked($block)->withId($ids->next());
                }
            }
        }

        return $blocks;
    }

    /** Words alone, without links and pictures. */
    private static function marked(Node $node): Node
    {
        if ($node->isText()) {
            $kept = array_filter(
                $node->marks,
                static fn(Mark $mark): bool => $mark->type === MarkType::Bold || $mark->type === MarkType::Italic,
            );

            return Node::text($node->text, [...array_values($kept), new Mark(MarkType::Scaffold)]);
        }
        $isWord = static fn(Node $child): bool => $child->isText() || $child->type === NodeType::HardBreak || $child->content !== [];

        return new Node(
            $node->type,
            $node->attrs,
            array_map(self::marked(...), array_values(array_filter($node->content, $isWord))),
            $node->text,
        );
    }
}
