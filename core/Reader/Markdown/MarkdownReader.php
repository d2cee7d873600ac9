<?php

declare(strict_types=1);

namespace Embrel\Reader\Markdown;

use Embrel\Archive\Shelf;
use Embrel\Document\Anchor;
use Embrel\Document\Manuscript;
use Embrel\Document\Reading;
use Embrel\Document\Role;
use Embrel\Document\TooManyPieces;
use Embrel\Limits;
use Embrel\Reader\DocumentReader;
use Embrel\Reader\Html\EmbeddedPictures;
use Embrel\Reader\Html\HtmlBlocks;
use Embrel\Reader\Source;
use Embrel\Reader\Unreadable;
use Embrel\RichText\Flow;
use Embrel\RichText\Node;
use League\CommonMark\Environment\Environment;
use League\CommonMark\Extension\CommonMark\CommonMarkCoreExtension;
use League\CommonMark\Extension\CommonMark\Node\Block as CommonBlock;
use League\CommonMark\Extension\Footnote\FootnoteExtension;
use League\CommonMark\Extension\Footnote\Node\FootnoteContainer;
use League\CommonMark\Extension\Strikethrough\StrikethroughExtension;
use League\CommonMark\Extension\Table\TableExtension;
use League\CommonMark\Extension\TaskList\TaskListExtension;
use League\CommonMark\Node\Block\Paragraph;
use League\CommonMark\Node\Node as MarkdownNode;
use League\CommonMark\Parser\MarkdownParser;

/**
 * Markdown (CommonMark with tables, strikethrough, check lists and footnotes). A heading in raw HTML
 * is a heading too. In a file without headings its lists are the outline.
 */
final class MarkdownReader implements DocumentReader
{
    private const MAX_NESTING = 30;
    /** Longer lines make no Markdown that a person wrote, and cost a parser dear. */
    private const LONGEST_LINE = 262_144;

    private Reading $reading;
    private Blocks $blocks;
    /** @var array<string, int> what headings are called by links → how many were */
    private array $slugs = [];
    private HtmlBlocks $html;
    private bool $isInQuote = false;

    public function read($in, Shelf $shelf, string $work): Manuscript
    {
        $text = EmbeddedPictures::taken(Source::text($in), $shelf);
        if (\strlen($text) > Limits::MARKDOWN) {
            throw Unreadable::markdownTooLarge();
        }
        foreach (explode("\n", $text) as $i => $line) {
            if (\strlen($line) > self::LONGEST_LINE) {
                throw Unreadable::lineTooLong($i + 1);
            }
        }
        $this->reading = new Reading();
        $this->reading->isOutline = true;
        $this->html = new HtmlBlocks($this->reading, $shelf, new \DOMDocument());
        $document = (new MarkdownParser(self::environment()))->parse($text);
        $this->blocks = new Blocks($this->reading, $shelf, $this->html, $document);
        try {
            foreach ($document->children() as $node) {
                $this->block($node);
            }
        } catch (TooManyPieces $why) {
            throw Unreadable::document('Markdown file', $why->getMessage());
        }

        return $this->reading->done();
    }

    /** Reads single lines for their words alone. */
    public static function plainLines(): PlainLine
    {
        return new PlainLine(self::environment());
    }

    private static function environment(): Environment
    {
        $environment = new Environment(['max_nesting_level' => self::MAX_NESTING, 'max_delimiters_per_line' => 2000]);
        $environment->addExtension(new CommonMarkCoreExtension());
        $environment->addExtension(new TableExtension());
        $environment->addExtension(new StrikethroughExtension());
        $environment->addExtension(new TaskListExtension());
        $environment->addExtension(new FootnoteExtension());

        return $environment;
    }

    private function block(MarkdownNode $node): void
    {
        if ($node instanceof CommonBlock\Heading) {
            [$flow, $anchor, $title] = $this->blocks->title($node);
            $this->reading->name($this->slug($flow->plainText()));
            $this->reading->heading($node->getLevel(), $flow, $anchor->topic ?? '', $title);
            $this->isInQuote = false;
        } elseif ($node instanceof CommonBlock\HtmlBlock) {
            $this->html->fragment($node->getLiteral(), null);
        } elseif ($node instanceof CommonBlock\ListBlock) {
            $this->list($node);
        } elseif ($node instanceof CommonBlock\BlockQuote) {
            $this->quotation($node);
        } elseif (!($node instanceof FootnoteContainer)) {
            $blocks = $this->blocks->of($node);
            // A name that stands alone on its line is that of what follows.
            if (array_filter($blocks, static fn(Node $block): bool => $block->plainText() !== '') !== []) {
                $this->reading->settleNames();
            }
            $this->reading->column->add($blocks);
        }
    }

    /**
     * By which links in a Markdown file call a heading: in small letters, spaces as hyphens, other signs gone; the
     * second of its kind counted.
     */
    private function slug(string $title): string
    {
        $slug = str_replace(' ', '-', preg_replace('/[^\p{L}\p{M}\p{N}_\- ]/u', '', mb_strtolower(trim($title))) ?? '');
        $count = $this->slugs[$slug] = ($this->slugs[$slug] ?? -1) + 1;

        return $count === 0 ? $slug : "{$slug}-{$count}";
    }

    /** A list of the note; items that were topics are topics again. */
    private function list(CommonBlock\ListBlock $list): void
    {
        $rest = [];
        foreach ($list->children() as $item) {
            $first = $item->firstChild();
            [$flow, $anchor, $title] = $first instanceof Paragraph ? $this->blocks->title($first) : [new Flow(), null, null];
            if ($anchor === null) {
                $rest[] = $item;
                continue;
            }
            $this->reading->column->add($this->blocks->listOf($list, $rest));
            $rest = [];
            $this->under($anchor, $flow, $title, false);
            foreach ($item->children() as $i => $child) {
                $i === 0 ? null : $this->block($child);
            }
        }
        $this->reading->column->add($this->blocks->listOf($list, $rest));
    }

    private function under(Anchor $anchor, Flow $flow, ?string $title, bool $isQuoted): void
    {
        $role = ['s' => Role::Heading, 'q' => Role::Quote][$anchor->kind] ?? Role::Item;
        $this->reading->under($role, $anchor->below, $flow, $anchor->topic, $title);
        $this->isInQuote = $isQuoted;
    }

    private function quotation(CommonBlock\BlockQuote $quote): void
    {
        $first = $quote->firstChild();
        [$flow, $anchor, $title] = $first instanceof Paragraph ? $this->blocks->title($first) : [new Flow(), null, null];
        if ($anchor !== null || $this->isInQuote) {
            $anchor === null ? null : $this->under($anchor, $flow, $title, true);
            // The note of a quote is set as one; a quotation in it is one of the note.
            foreach ($quote->children() as $i => $child) {
                $i === 0 && $anchor !== null
                    ? null
                    : ($child instanceof CommonBlock\BlockQuote
                        ? $this->reading->column->add($this->blocks->of($child))
                        : $this->block($child));
            }
        } else {
            $this->reading->column->add($this->blocks->of($quote));
        }
    }
}
