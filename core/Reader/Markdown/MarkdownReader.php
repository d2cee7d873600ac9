<?php

declare(strict_types=1);

namespace Embrel\Reader\Markdown;

use Embrel\Id\Ids;
use Embrel\Intake\Growing;
use Embrel\Intake\TypedNumbers;
use Embrel\Limits;
use Embrel\Reader\Options;
use Embrel\Reader\Reader;
use Embrel\Reader\Result;
use Embrel\Reader\Source;
use Embrel\Reader\Unreadable;
use Embrel\RichText\Node;
use League\CommonMark\Environment\Environment;
use League\CommonMark\Extension\CommonMark\CommonMarkCoreExtension;
use League\CommonMark\Extension\CommonMark\Node\Block\Heading;
use League\CommonMark\Extension\CommonMark\Node\Block\ListBlock;
use League\CommonMark\Extension\Strikethrough\StrikethroughExtension;
use League\CommonMark\Extension\Table\TableExtension;
use League\CommonMark\Node\Block\AbstractBlock;
use League\CommonMark\Node\Block\Paragraph;
use League\CommonMark\Node\Node as MarkdownNode;
use League\CommonMark\Parser\MarkdownParser;

/**
 * Markdown (CommonMark with tables and strikethrough). Headings become topics, what is under them
 * their notes. Lists become topics only in a file without headings, or on request. A heading in
 * raw HTML is one too.
 */
final class MarkdownReader implements Reader
{
    private const MAX_NESTING = 30;
    /** Longer lines make no Markdown that a person wrote, and cost a parser dear. */
    private const LONGEST_LINE = 262_144;

    private Growing $growing;
    private Blocks $blocks;
    private bool $lists = false;

    /** @var array{level: int, title: string}|null the heading whose note is being read */
    private ?array $topic = null;
    /** @var list<Node> */
    private array $note = [];

    public function read($in, Options $options, Ids $ids): Result
    {
        $text = Source::text($in);
        if (strlen($text) > Limits::MARKDOWN) {
            throw Unreadable::markdownTooLarge();
        }
        foreach (explode("\n", $text) as $i => $line) {
            if (\strlen($line) > self::LONGEST_LINE) {
                throw Unreadable::lineTooLong($i + 1);
            }
        }
        $this->growing = new Growing($ids, $options->title);
        $this->blocks = new Blocks($this->growing);
        $document = (new MarkdownParser($this->environment()))->parse($text);
        $this->lists = $options->lists || !$this->hasHeadings($document);
        foreach ($document->children() as $node) {
            $this->block($node);
        }
        $this->flush();
        $plan = $this->growing->done();

        return new Result($options->stripNumbers ? TypedNumbers::stripped($plan) : $plan, $this->growing->repairs());
    }

    private function environment(): Environment
    {
        $environment = new Environment(['max_nesting_level' => self::MAX_NESTING, 'max_delimiters_per_line' => 2000]);
        $environment->addExtension(new CommonMarkCoreExtension());
        $environment->addExtension(new TableExtension());
        $environment->addExtension(new StrikethroughExtension());

        return $environment;
    }

    private function hasHeadings(MarkdownNode $document): bool
    {
        foreach ($document->iterator() as $node) {
            if ($node instanceof Heading || Html::headings($node) !== []) {
                return true;
            }
        }

        return false;
    }

    private function block(MarkdownNode $node): void
    {
        if ($node instanceof Heading) {
            [$title, $pictures] = $this->blocks->title($node);
            $this->heading($node->getLevel(), $title, $pictures);
        } elseif ($node instanceof ListBlock && $this->lists) {
            $this->flush();
            $this->topics($node, ($this->topic['level'] ?? 0) + 1);
        } elseif (($parts = Html::parts($node)) !== null) {
            foreach ($parts as $part) {
                $part instanceof Node ? $this->note[] = $part : $this->heading($part['level'], $part['title']);
            }
        } else {
            array_push($this->note, ...$this->blocks->of($node));
        }
    }

    /** @param list<Node> $pictures */
    private function heading(int $level, string $title, array $pictures = []): void
    {
        $this->flush();
        $this->note = $pictures;
        $this->topic = ['level' => $level, 'title' => $title];
    }

    /** Puts the topic that was being read into the plan, with its note. */
    private function flush(): void
    {
        if ($this->growing->isFull()) {
            throw Unreadable::tooManyTopics(0);
        }
        if ($this->topic !== null && !isset($this->topic['put'])) {
            $this->growing->add($this->topic['level'], $this->topic['title'], $this->note);
            $this->topic['put'] = true;
        } elseif ($this->note !== []) {
            $this->topic === null ? $this->growing->opening($this->note) : $this->stray();
        }
        $this->note = [];
    }

    /** Text after a list that became topics: it has no heading of its own, so it becomes a topic's note. */
    private function stray(): void
    {
        $this->growing->add(($this->topic['level'] ?? 0) + 1, '', $this->note);
        $this->growing->repaired('Text that stood behind a list of topics is in the note of a topic without a title.');
    }

    /** List items as topics: the first paragraph is the title, what else they hold the note. */
    private function topics(ListBlock $list, int $level): void
    {
        foreach ($list->children() as $item) {
            $title = '';
            $note = [];
            $below = [];
            foreach ($item->children() as $i => $node) {
                if ($i === 0 && $node instanceof Paragraph) {
                    [$title, $note] = $this->blocks->title($node);
                } elseif ($node instanceof ListBlock) {
                    $below[] = $node;
                } else {
                    array_push($note, ...$this->blocks->of($node));
                }
            }
            if ($this->growing->isFull()) {
                throw Unreadable::tooManyTopics($item instanceof AbstractBlock ? (int) $item->getStartLine() : 0);
            }
            $this->growing->add($level, $title, $note);
            foreach ($below as $deeper) {
                $this->topics($deeper, $level + 1);
            }
        }
    }
}
