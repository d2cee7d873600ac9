<?php

declare(strict_types=1);

namespace Embrel\Reader\Html;

use Embrel\RichText\MarkType;

/** What the elements of HTML mean for a text. */
final class Tag
{
    /** Left out with all that they hold. */
    private const LEFT_OUT = [
        'script',
        'style',
        'template',
        'iframe',
        'head',
        'noscript',
        'svg',
        'select',
        'datalist',
        'audio',
        'video',
        'canvas',
        'frameset',
        'dialog',
        'rt',
        'rp',
        'title',
    ];
    private const CONTAINERS = [
        'p',
        'div',
        'section',
        'article',
        'main',
        'header',
        'footer',
        'aside',
        'address',
        'center',
        'form',
        'fieldset',
        'details',
        'summary',
        'figure',
        'figcaption',
        'legend',
        'dl',
        'dd',
        'dt',
        'hgroup',
        'body',
        'html',
        'tr',
        'td',
        'th',
        'tbody',
        'li',
        'caption',
    ];
    private const MARKS = [
        'b' => MarkType::Bold,
        'strong' => MarkType::Bold,
        'i' => MarkType::Italic,
        'em' => MarkType::Italic,
        'cite' => MarkType::Italic,
        'dfn' => MarkType::Italic,
        'var' => MarkType::Italic,
        'u' => MarkType::Underline,
        'ins' => MarkType::Underline,
        's' => MarkType::Strike,
        'del' => MarkType::Strike,
        'strike' => MarkType::Strike,
        'mark' => MarkType::Highlight,
        'sup' => MarkType::Superscript,
        'sub' => MarkType::Subscript,
        'code' => MarkType::Code,
        'kbd' => MarkType::Code,
        'samp' => MarkType::Code,
        'tt' => MarkType::Code,
    ];
    /** Signs by which pages link a heading to itself. */
    private const PERMALINKS = ['¶', '#', '§', '🔗'];
    /** The deepest level that a page may name for a heading of its own making. */
    private const DEEPEST = 60;

    /** Whether nothing of it is of the text. */
    public static function isLeftOut(string $tag): bool
    {
        return \in_array($tag, self::LEFT_OUT, true);
    }

    /** Whether what is in it stands in lines of its own. */
    public static function isContainer(string $tag): bool
    {
        return \in_array($tag, self::CONTAINERS, true);
    }

    public static function mark(string $tag): ?MarkType
    {
        return self::MARKS[$tag] ?? null;
    }

    /** The level of a heading, from 1; null: it is none. */
    public static function level(\DOMElement $node, string $tag): ?int
    {
        if (preg_match('/\Ah([1-6])\z/', $tag, $m) === 1) {
            return (int) $m[1];
        }
        $level = $node->getAttribute('role') === 'heading' ? (int) $node->getAttribute('aria-level') : 0;

        return $level >= 1 && $level <= self::DEEPEST ? $level : null;
    }

    /** Whether it is a sign beside a heading that leads to that heading. */
    public static function isPermalink(string $href, string $text): bool
    {
        return str_starts_with($href, '#') && \in_array(trim($text), self::PERMALINKS, true);
    }
}
