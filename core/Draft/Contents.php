<?php

declare(strict_types=1);

namespace Embrel\Draft;

use Embrel\Document\Element;
use Embrel\Document\Role;
use Embrel\Document\Style;
use Embrel\RichText\NodeType;
use Embrel\Words;

/**
 * The contents list with an estimate of each heading's page, until a word processor counts them:
 * in lines of the style, gaps counted as lines.
 */
final class Contents
{
    /** Of a sign, in sizes of the type, and signs of a word with the space behind it. */
    private const SIGN = 0.5;
    private const WORD = 6.1;

    /** @var list<array{element: Element, page: int}> */
    public array $list = [];
    /** @var list<int> the page of each figure that is counted, in order */
    public array $figures = [];
    private readonly float $wordsALine;
    private readonly int $linesAPage;

    /** @param list<Element> $elements */
    public function __construct(array $elements, Style $style, string $paper, private readonly int $depth)
    {
        [$width, $height] = $style->page($paper);
        [$top, $right, $bottom, $left] = $style->edges();
        $this->wordsALine = max(1.0, ($width - $left - $right) / ($style->size * self::SIGN * self::WORD));
        $this->linesAPage = max(10, (int) (($height - $top - $bottom) / ($style->size * $style->line * Style::SINGLE)));
        $listed = array_filter($elements, $this->isListed(...));
        $line = $this->linesAPage * (max(1, (int) ceil((\count($listed) + 6) / $this->linesAPage)) + ($style->hasTitlePage ? 1 : 0));
        foreach ($elements as $element) {
            if ($style->breaks && $element->role === Role::Heading && $element->level === 1) {
                $line = (int) ceil($line / $this->linesAPage) * $this->linesAPage;
            }
            if ($this->isListed($element)) {
                $this->list[] = ['element' => $element, 'page' => $this->page($line)];
            }
            foreach ($element->block?->all() ?? [] as $node) {
                $node->type === NodeType::Picture && $node->int('figure', 0) > 0 ? ($this->figures[] = $this->page($line)) : null;
            }
            $line += $this->lines($element);
        }
    }

    private function page(int $line): int
    {
        return 1 + intdiv($line, $this->linesAPage);
    }

    private function isListed(Element $element): bool
    {
        return $element->role === Role::Heading && $element->level <= $this->depth;
    }

    private function lines(Element $element): int
    {
        return match ($element->role) {
            Role::Heading => 3,
            Role::Body, Role::Reference, Role::SeeAlso, Role::IndexEntry => $element->block?->type === NodeType::Picture
                ? 15
                : 1 + (int) ceil(Words::in($element->block?->plainText() ?? '') / $this->wordsALine),
            Role::Picture => 1 + (int) ((($element->picture?->shownHeight() ?? 0.0) * Style::PICTURE) / 20),
            default => 1 + intdiv(\strlen($element->title), 90),
        };
    }
}
