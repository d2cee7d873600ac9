<?php

declare(strict_types=1);

namespace Embrel\Reader\Html;

use Embrel\RichText\MarkType;

/** What an element's own style says of its text (CSS 2.1), as programs write it that know no other way. */
final class InlineStyle
{
    /** Mark → by which it is set. */
    private const MARKS = [
        'bold' => '/(?:\A|;)\s*font-weight\s*:\s*(?:bold|bolder|[6-9]00)\b/i',
        'italic' => '/(?:\A|;)\s*font-style\s*:\s*(?:italic|oblique)\b/i',
        'underline' => '/(?:\A|;)\s*text-decoration(?:-line)?\s*:[^;]*\bunderline\b/i',
        'strike' => '/(?:\A|;)\s*text-decoration(?:-line)?\s*:[^;]*\bline-through\b/i',
        'superscript' => '/(?:\A|;)\s*vertical-align\s*:\s*super\b/i',
        'subscript' => '/(?:\A|;)\s*vertical-align\s*:\s*sub\b/i',
    ];
    private const HIDDEN = '/(?:\A|;)\s*(?:display\s*:\s*none|visibility\s*:\s*hidden)\b/i';
    private const UPRIGHT = [
        'bold' => '/(?:\A|;)\s*font-weight\s*:\s*(?:normal|lighter|[1-5]00)\b/i',
        'italic' => '/(?:\A|;)\s*font-style\s*:\s*normal\b/i',
        'underline' => '/(?:\A|;)\s*text-decoration(?:-line)?\s*:\s*none\b/i',
    ];

    /** @return list<MarkType> */
    public static function marks(string $style): array
    {
        $set = $style === '' ? [] : array_filter(self::MARKS, static fn(string $pattern): bool => preg_match($pattern, $style) === 1);

        return array_map(MarkType::from(...), array_keys($set));
    }

    public static function isHidden(string $style): bool
    {
        return $style !== '' && preg_match(self::HIDDEN, $style) === 1;
    }

    /** Whether it takes back what its element means, as a bold element that is set not to be. */
    public static function takesBack(string $style, MarkType $mark): bool
    {
        return $style !== '' && isset(self::UPRIGHT[$mark->value]) && preg_match(self::UPRIGHT[$mark->value], $style) === 1;
    }
}
