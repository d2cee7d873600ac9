<?php

declare(strict_types=1);

namespace Embrel\RichText;

/** A link to a topic within the same text: to its id after a sign, as the bookmark is called that a file has for it (Document/Anchor). */
final class TopicLink
{
    public const SIGN = '_e';

    /** @param string $topic an id, or what else there is a bookmark for */
    public static function to(string $topic): Mark
    {
        return new Mark(MarkType::Link, ['href' => '#' . self::SIGN . $topic]);
    }

    /** @return string|null what a link leads to, if it is such a one */
    public static function of(string $href): ?string
    {
        return str_starts_with($href, '#' . self::SIGN) ? substr($href, 1 + \strlen(self::SIGN)) : null;
    }
}
