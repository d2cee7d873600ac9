<?php

declare(strict_types=1);

namespace Embrel\Writer\Markdown;

use Embrel\Document\Element;
use Embrel\Draft\Choices;
use Embrel\Draft\Draft;
use Embrel\Plan\Plan;
use Embrel\RichText\Node;
use Embrel\Writer\Losses;
use Embrel\Writer\Writer;

/** Markdown (CommonMark with tables and strikethrough): the title at level 1, main sections at level 2. */
final class MarkdownWriter implements Writer
{
    private const LEVELS = 5;
    private const SIGNS = ['bold' => '**', 'italic' => '*', 'strike' => '~~'];

    private Losses $losses;
    /** @var list<string> */
    private array $footnotes = [];

    public function write(Plan $plan, Choices $choices, $out, string $work): array
    {
        $this->losses = new Losses();
        $document = Draft::of($plan, new Choices($choices->from, min($choices->headingDepth, self::LEVELS), $choices->scheme, $choices->numberDepth, $choices->notes, false, allSources: $choices->allSources));
        fwrite($out, '# ' . self::escaped($document->title) . "\n");
        $before = null;
        foreach ($document->elements as $element) {
            if ($element->role === Element::PICTURE) {
                $this->losses->note('topicPicture');
                continue;
            }
            $tight = $element->role === Element::ITEM && $before?->role === Element::ITEM;
            fwrite($out, ($tight ? '' : "\n") . $this->element($element));
            $before = $element;
        }

        foreach ($this->footnotes as $i => $text) {
            fwrite($out, "\n[^" . ($i + 1) . "]: {$text}\n");
        }
        $this->losses->also($document->missing);

        return $this->losses->sentences();
    }

    private function element(Element $element): string
    {
        $title = ($element->number === '' ? '' : $element->number . ' ') . $element->title;
        // A bare number at the start of an item would be read as a list of its own.
        $title = preg_replace('/\A(\d+)([.)])(?=\s)/', '$1\\\\$2', self::escaped($title)) ?? '';

        return match ($element->role) {
            Element::HEADING => str_repeat('#', $element->level + 1) . " {$title}\n",
            Element::ITEM => str_repeat('  ', $element->level - 1) . "- {$title}\n",
            Element::QUOTE => $this->indented('> ' . $title, $element->level),
            default => $this->body($element),
        };
    }

    private function body(Element $element): string
    {
        $text = $element->block === null ? '' : $this->block($element->block);

        return $this->indented($element->inQuote ? self::prefixed('> ', $text) : $text, $element->level);
    }

    private function indented(string $text, int $items): string
    {
        return self::prefixed(str_repeat('  ', $items), $text) . "\n";
    }

    private static function prefixed(string $prefix, string $text): string
    {
        return $prefix . str_replace("\n", "\n" . $prefix, $text);
    }

    private function block(Node $node): string
    {
        return match ($node->type) {
            'paragraph' => preg_replace('/^(\s*)([-+*#>]|\d+[.)])(?=\s|$)/m', '$1\\\\$2', $this->inlines($node->content)) ?? '',
            // Not a heading of the document: it would be read as a topic.
            'heading' => '**' . str_replace('**', '', $this->inlines($node->content)) . '**',
            'bulletList', 'taskList' => $this->items($node, static fn(int $i): string => '- '),
            'orderedList' => $this->items($node, static fn(int $i): string => ($node->int('start', 1) + $i) . '. '),
            'blockquote' => self::prefixed('> ', $this->blocks($node->content)),
            'codeBlock' => "```\n" . $node->plainText() . "\n```",
            'horizontalRule' => '---',
            'table' => $this->table($node),
            'picture' => $this->picture($node),
            default => '',
        };
    }

    /** @param list<Node> $nodes */
    private function blocks(array $nodes): string
    {
        $text = '';
        foreach ($nodes as $i => $node) {
            // A numbered list that does not start with 1 must not touch the paragraph above it.
            $isList = in_array($node->type, ['bulletList', 'taskList'], true) || ($node->type === 'orderedList' && $node->int('start', 1) === 1);
            $tight = $i > 0 && $isList && $nodes[$i - 1]->type === 'paragraph';
            $text .= ($i === 0 ? '' : ($tight ? "\n" : "\n\n")) . $this->block($node);
        }

        return $text;
    }

    /** @param \Closure(int): string $sign */
    private function items(Node $list, \Closure $sign): string
    {
        $lines = [];
        foreach ($list->content as $i => $item) {
            $mark = $sign($i);
            $check = $item->type === 'taskItem' ? (($item->attrs['checked'] ?? false) === true ? '[x] ' : '[ ] ') : '';
            $lines[] = $mark . str_replace("\n", "\n" . str_repeat(' ', \strlen($mark)), $check . $this->blocks($item->content));
        }

        return implode("\n", $lines);
    }

    private function table(Node $table): string
    {
        $lines = [];
        foreach ($table->content as $i => $row) {
            $cells = array_map(fn(Node $cell): string => str_replace(['|', "\n"], ['\|', ' '], $this->blocks($cell->content)), $row->content);
            $lines[] = '| ' . implode(' | ', $cells) . ' |';
            if ($i === 0) {
                $lines[] = '|' . str_repeat(' --- |', \count($cells));
            }
        }

        return implode("\n", $lines);
    }

    private function picture(Node $node): string
    {
        $alt = self::escaped($node->string('alt') ?? $node->string('caption') ?? '');
        if ($node->string('src') !== null) {
            return "![{$alt}](<" . $node->string('src') . '>)';
        }
        $this->losses->note('picture');

        return $alt;
    }

    /** @param list<Node> $nodes */
    private function inlines(array $nodes): string
    {
        return implode('', array_map(fn(Node $node): string => match ($node->type) {
            'text' => $this->run($node),
            'hardBreak' => "\\\n",
            'footnote' => $this->footnote($node),
            default => '',
        }, $nodes));
    }

    /** As most readers of Markdown know it: a sign in the text, the words at the end. */
    private function footnote(Node $node): string
    {
        $this->footnotes[] = str_replace("\n", ' ', $this->inlines($node->content));

        return '[^' . \count($this->footnotes) . ']';
    }

    private function run(Node $node): string
    {
        if ($node->has('code')) {
            $fence = str_contains($node->text, '`') ? '``' : '`';
            $text = $fence . $node->text . $fence;
        } else {
            $text = self::escaped($node->text);
        }
        // Signs must touch the words: white space at the ends moves outside.
        preg_match('/\A(\s*)(.*?)(\s*)\z/su', $text, $m);
        [, $before, $inner, $after] = $m + ['', '', $text, ''];
        foreach ($inner === '' ? [] : $node->marks as $mark) {
            $sign = self::SIGNS[$mark->type] ?? '';
            // Headings have no names in this format: a reference is its words.
            $inner = $mark->type === 'link' ? (str_starts_with($mark->attrs['href'], '#_e') ? $inner : "[{$inner}](<{$mark->attrs['href']}>)") : $sign . $inner . $sign;
            if (\in_array($mark->type, ['underline', 'highlight', 'superscript', 'subscript'], true)) {
                $this->losses->note('marks');
            }
        }

        return $before . $inner . $after;
    }

    private static function escaped(string $text): string
    {
        return preg_replace('/([\\\\`*_\[\]<>~|])|(&)(?=[#a-z])/iu', '\\\\$1$2', $text) ?? $text;
    }
}
