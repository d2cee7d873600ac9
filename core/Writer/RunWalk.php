<?php

declare(strict_types=1);

namespace Embrel\Writer;

use Embrel\Document\Pictures;
use Embrel\RichText\Node;
use Embrel\RichText\NodeType;
use Embrel\RichText\TopicLink;

/** The walk over what stands in a paragraph, for formats that have runs with properties: each says how it writes what it meets. */
abstract class RunWalk
{
    /** @param array<string, string> $anchors topic → the name of its bookmark */
    public function __construct(protected readonly ?Pictures $pictures, private readonly array $anchors) {}

    /** A text with its marks, linked if it is a link. */
    abstract protected function run(Node $node): string;

    /** A real footnote: its sign here, its words where the format has them. */
    abstract protected function footnote(Node $node): string;

    abstract protected function lineBreak(): string;

    /** A citation that carries its sources along. */
    protected function citation(Node $node): string
    {
        return $this->inlines($node->content);
    }

    /** A drawing as a link. */
    abstract protected function linked(string $href, string $drawing): string;

    /**
     * @param float $width  in pixels, 96 to the inch
     * @param float $aspect height by width
     */
    abstract public function drawing(string $picture, string $bytes, float $width, float $aspect, string $says): string;

    /** @param list<Node> $nodes */
    public function inlines(array $nodes): string
    {
        $out = '';
        foreach ($nodes as $node) {
            $out .= match ($node->type) {
                NodeType::Text => $this->run($node),
                NodeType::HardBreak => $this->lineBreak(),
                NodeType::Footnote => $this->footnote($node),
                NodeType::Citation => $this->citation($node),
                default => '',
            };
        }

        return $out;
    }

    /** A picture in its own size, or as wide as it was set; null where its file is not at hand. */
    public function ofNote(Node $node): ?string
    {
        $id = $node->string('picture');
        $bytes = $id === null ? null : $this->pictures?->bytes($id);
        $size = $bytes === null ? false : @getimagesizefromstring($bytes);
        if ($id === null || $bytes === null || $size === false || $size[0] === 0) {
            return null;
        }
        $drawing = $this->drawing($id, $bytes, (float) $node->int('width', $size[0]), $size[1] / $size[0], $node->string('alt') ?? '');
        $href = $node->string('href');

        return $href === null ? $drawing : $this->linked($href, $drawing);
    }

    /** @return string|null the bookmark that a link leads to; null where it leads out of the document */
    protected function place(string $href): ?string
    {
        $topic = TopicLink::of($href);

        return $topic !== null ? $this->anchors[$topic] ?? substr($href, 1) : ($href[0] === '#' ? substr($href, 1) : null);
    }
}
