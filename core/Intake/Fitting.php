<?php

declare(strict_types=1);

namespace Embrel\Intake;

use Embrel\Limits;
use Embrel\RichText\Node;

/** How much of a text one note can hold. */
final class Fitting
{
    /** A note larger than this when written out may be over the limit. */
    private const SURELY_FITS = Limits::NOTE / 4;

    /**
     * @param list<Node> $blocks
     *
     * @return array{list<Node>, list<Node>} those that one note can hold, and the rest
     */
    public static function of(array $blocks): array
    {
        $bytes = 0;
        foreach ($blocks as $i => $block) {
            $size = self::size($block);
            if ($size > self::SURELY_FITS && $size > ($exact = self::exactSize($block)) - 1 && $exact > Limits::NOTE - 4096) {
                throw new TooManyTopics(
                    'a single paragraph, list or table of it is larger than the size limit of '
                        . intdiv(Limits::NOTE, 1024 * 1024)
                        . ' MB for one note',
                );
            }
            $bytes += $size;
            if ($bytes > Limits::NOTE - 4096 && $i > 0) {
                return [\array_slice($blocks, 0, $i), \array_slice($blocks, $i)];
            }
        }

        return [$blocks, []];
    }

    /** Never less than what it takes when it is written out. */
    private static function size(Node $node): int
    {
        $size
            = 70
            + \strlen($node->text)
            + substr_count($node->text, '"')
            + substr_count($node->text, '\\')
            + substr_count($node->text, "\n")
            + substr_count($node->text, "\t")
            + 3 * substr_count($node->text, "\u{2028}")
            + 3 * substr_count($node->text, "\u{2029}")
            + ($node->attrs === [] ? 0 : \strlen((string) json_encode($node->attrs)));
        foreach ($node->marks as $mark) {
            $size += 40 + \strlen($mark->attrs['href'] ?? '');
        }
        foreach ($node->content as $child) {
            $size += self::size($child);
        }

        return $size;
    }

    private static function exactSize(Node $node): int
    {
        return \strlen(json_encode($node->toArray(), JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES | JSON_THROW_ON_ERROR));
    }
}
