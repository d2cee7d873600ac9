<?php

declare(strict_types=1);

namespace Embrel\Draft;

use Embrel\Document\Element;
use Embrel\RichText\Node;
use Embrel\RichText\NodeType;

/** The pictures in the notes of a draft. */
final class Figures
{
    private const COUNT = '/\A(?:Figure|Abbildung) \d+\. /';

    /**
     * @param list<Element> $elements
     *
     * @return array{list<Element>, int} without any, and how many there were
     */
    public static function without(array $elements): array
    {
        $count = 0;
        $out = [];
        foreach ($elements as $element) {
            $block
                = $element->block === null
                    ? null
                    : self::mapped($element->block, static function (Node $picture) use (&$count): ?Node {
                        ++$count;

                        return null;
                    });
            if ($element->block === null || $block !== null) {
                $out[] = $block === $element->block ? $element : $element->with(['block' => $block]);
            }
        }

        return [$out, $count];
    }

    /**
     * Those with a caption are counted: “Figure 1. The wall”.
     *
     * @param list<Element> $elements
     *
     * @return array{list<Element>, list<string>} and the captions in order
     */
    public static function counted(array $elements, string $language): array
    {
        $name = str_starts_with(strtolower($language), 'de') ? 'Abbildung' : 'Figure';
        $captions = [];
        foreach ($elements as $i => $element) {
            if ($element->block !== null) {
                $block = self::mapped($element->block, static function (Node $picture) use (&$captions, $name): Node {
                    $caption = $picture->string('caption') ?? '';
                    if ($caption === '') {
                        return $picture;
                    }
                    $n = \count($captions) + 1;
                    $captions[] = "{$name} {$n}. {$caption}";

                    return new Node(NodeType::Picture, ['caption' => $captions[$n - 1], 'figure' => $n] + $picture->attrs);
                });
                $elements[$i] = $block === $element->block ? $element : $element->with(['block' => $block]);
            }
        }

        return [$elements, $captions];
    }

    /** The caption as the writer has it, of a picture that was counted or not. */
    public static function bare(string $caption): string
    {
        return preg_replace(self::COUNT, '', $caption) ?? $caption;
    }

    /** The block, with the captions in it as the writer has them; the same where none was counted. */
    public static function uncounted(Node $block): Node
    {
        return self::mapped($block, static function (Node $picture): Node {
            $caption = $picture->string('caption') ?? '';

            return self::bare($caption) === $caption
                ? $picture
                : new Node(NodeType::Picture, ['caption' => self::bare($caption)] + $picture->attrs);
        }) ?? $block;
    }

    /** @param \Closure(Node): ?Node $map what a picture becomes; null: it goes */
    private static function mapped(Node $node, \Closure $map): ?Node
    {
        if ($node->type === NodeType::Picture) {
            return $map($node);
        }
        $content = [];
        $isSame = true;
        foreach ($node->content as $child) {
            $next = $child->isText() ? $child : self::mapped($child, $map);
            $isSame = $isSame && $next === $child;
            $next === null ? null : ($content[] = $next);
        }

        return $isSame ? $node : new Node($node->type, $node->attrs, $content, $node->text, $node->marks);
    }
}
