<?php

declare(strict_types=1);

namespace Embrel\Reader\Markdown;

use Embrel\Document\Anchor;
use Embrel\RichText\Mark;
use Embrel\RichText\MarkType;
use Embrel\RichText\Node;
use Embrel\RichText\NodeType;
use Embrel\RichText\Schema;

/** Raw HTML within a line of Markdown: known marks and links are read, scripts hidden, the rest passed over. */
final class InlineHtml
{
    private const MARKS = [
        'b' => MarkType::Bold,
        'strong' => MarkType::Bold,
        'i' => MarkType::Italic,
        'em' => MarkType::Italic,
        'u' => MarkType::Underline,
        's' => MarkType::Strike,
        'del' => MarkType::Strike,
        'mark' => MarkType::Highlight,
        'sup' => MarkType::Superscript,
        'sub' => MarkType::Subscript,
        'code' => MarkType::Code,
        'kbd' => MarkType::Code,
    ];
    private const HIDDEN = ['script', 'style', 'template'];

    /** @var list<array{tag: string, mark: Mark|null}> */
    private array $open = [];
    private ?string $hidden = null;
    /** @var list<string> by which links within the document call a place */
    private array $names = [];
    /** @var list<Node|Anchor|array{src: string, alt: string, marks: list<Mark>, width: int, caption: string}> */
    private array $made = [];

    public function tag(string $html): void
    {
        if (preg_match('/\A<(\/?)([a-z][a-z0-9]*)/i', $html, $m) !== 1) {
            return;
        }
        $tag = strtolower($m[2]);
        if ($this->hidden !== null) {
            $this->hidden = $m[1] === '/' && $tag === $this->hidden ? null : $this->hidden;
        } elseif (\in_array($tag, self::HIDDEN, true)) {
            $this->hidden = $m[1] === '' ? $tag : null;
        } elseif ($m[1] === '/') {
            $this->close($tag);
        } elseif ($tag === 'br') {
            $this->made[] = new Node(NodeType::HardBreak);
        } elseif ($tag === 'img') {
            $this->made[] = [
                'src' => self::attribute($html, 'src'),
                'alt' => self::attribute($html, 'alt'),
                'marks' => $this->marks(),
                'width' => (int) self::attribute($html, 'width'),
                'caption' => self::attribute($html, 'title'),
            ];
        } elseif ($tag === 'a' && ($anchor = Anchor::of(self::attribute($html, 'id'))) !== null) {
            $this->made[] = $anchor;
            $this->open[] = ['tag' => $tag, 'mark' => null];
        } else {
            $names = [self::attribute($html, 'id'), $tag === 'a' ? self::attribute($html, 'name') : ''];
            array_push($this->names, ...array_filter($names, static fn(string $name): bool => $name !== ''));
            $this->open[] = ['tag' => $tag, 'mark' => $this->mark($tag, $html)];
        }
    }

    /** @return list<string> those that the tags since the last call gave */
    public function names(): array
    {
        $names = $this->names;
        $this->names = [];

        return $names;
    }

    private function mark(string $tag, string $html): ?Mark
    {
        if ($tag === 'a') {
            $href = self::attribute($html, 'href');

            return Schema::isSafeLink($href) ? new Mark(MarkType::Link, ['href' => $href]) : null;
        }

        return isset(self::MARKS[$tag]) ? new Mark(self::MARKS[$tag]) : null;
    }

    private function close(string $tag): void
    {
        for ($i = \count($this->open) - 1; $i >= 0; --$i) {
            if ($this->open[$i]['tag'] === $tag) {
                array_splice($this->open, $i);

                return;
            }
        }
    }

    private static function attribute(string $html, string $name): string
    {
        return preg_match('/\s' . $name . '\s*=\s*(?:"([^"]*)"|\'([^\']*)\'|([^\s>]+))/i', $html, $m) === 1
            ? html_entity_decode($m[1] . ($m[2] ?? '') . ($m[3] ?? ''), ENT_QUOTES | ENT_HTML5, 'UTF-8')
            : '';
    }

    public function isHidden(): bool
    {
        return $this->hidden !== null;
    }

    /** @return list<Mark> */
    public function marks(): array
    {
        return array_values(array_filter(array_column($this->open, 'mark')));
    }

    /**
     * @return list<Node|Anchor|array{src: string, alt: string, marks: list<Mark>, width: int, caption: string}> what the tags since the last call stand for themselves: breaks, anchors of topics, pictures
     */
    public function made(): array
    {
        $made = $this->made;
        $this->made = [];

        return $made;
    }
}
