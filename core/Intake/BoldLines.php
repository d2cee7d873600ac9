<?php

declare(strict_types=1);

namespace Embrel\Intake;

use Embrel\Document\Element;
use Embrel\Document\Role;
use Embrel\RichText\MarkType;
use Embrel\RichText\Node;
use Embrel\RichText\NodeType;

/** Paragraphs that are one short bold line, as authors make headings who know no styles. */
final class BoldLines
{
    private const LONGEST = 120;
    private const NUMBER = '/\A(?:\d{1,3})((?:\.\d{1,3})*)\.?\s/';

    /**
     * @param list<Element> $elements
     * @param bool|null     $wanted   whether they become headings; null: where there are no others, and more than one of them
     *
     * @return array{list<Element>, array{seen: int, taken: int}}
     */
    public static function seen(array $elements, ?bool $wanted): array
    {
        $hasHeadings = false;
        $found = [];
        foreach ($elements as $i => $element) {
            $hasHeadings = $hasHeadings || $element->role === Role::Heading;
            if ($element->block !== null && self::isOne($element->block)) {
                $found[$i] = trim($element->block->plainText());
            }
        }
        $seen = \count($found);
        if ($wanted === false || $seen === 0 || ($wanted === null && ($hasHeadings || $seen < 2 || $seen === \count($elements)))) {
            return [$elements, ['seen' => $seen, 'taken' => 0]];
        }
        $level = 1;
        foreach ($elements as $i => $element) {
            $level = $element->role === Role::Heading ? $element->level + 1 : $level;
            if (isset($found[$i])) {
                $numbered = preg_match(self::NUMBER, $found[$i], $m) === 1 ? substr_count($m[1], '.') : 0;
                $elements[$i] = new Element(Role::Heading, $level + $numbered, title: $found[$i]);
            }
        }

        return [array_values($elements), ['seen' => $seen, 'taken' => $seen]];
    }

    private static function isOne(Node $block): bool
    {
        if ($block->type !== NodeType::Paragraph || $block->content === []) {
            return false;
        }
        foreach ($block->content as $run) {
            if (!$run->isText() || (trim($run->text) !== '' && !$run->has(MarkType::Bold))) {
                return false;
            }
        }
        $text = trim($block->plainText());

        return $text !== '' && mb_strlen($text) <= self::LONGEST && preg_match('/[.,;:]\z/u', $text) !== 1;
    }
}
