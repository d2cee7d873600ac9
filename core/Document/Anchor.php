<?php

declare(strict_types=1);

namespace Embrel\Document;

use Embrel\RichText\TopicLink;

/**
 * The hidden bookmark by which a document carries the topic that an element was made of: `_e` and the
 * topic's id. Where the document cannot tell what the topic was and how deep it stood below the heading
 * above (a section deep down is a list item there; everything under a quotation is one), a letter and a number follow.
 */
final readonly class Anchor
{
    private const FORM = '/\A' . TopicLink::SIGN . '([0-9A-HJKMNP-TV-Z]{26}|references)(?:([spq])(m?)(\d{1,2}))?\z/';
    /** Starts a quotation or a block of code, so that two of them stay two. */
    public const BLOCK = '_b';
    /** Goes on with a quotation within the note of a quote, all of which is set alike. */
    public const MORE = '_c';

    /**
     * @param string $topic an id, or `references` for the heading of that list
     * @param string $kind  `s`, `p`, `q`: section, point, quote; empty: as the document shows it
     * @param int    $below
     *     how many levels below the heading before it, where the kind is given; as bookmarks know no minus,
     *     `m` stands for one
     */
    public function __construct(public string $topic, public string $kind = '', public int $below = 0) {}

    public static function of(string $bookmark): ?self
    {
        return preg_match(self::FORM, $bookmark, $m) === 1
            ? new self($m[1], $m[2] ?? '', (int) ($m[4] ?? 0) * (($m[3] ?? '') === 'm' ? -1 : 1))
            : null;
    }

    public function name(): string
    {
        return TopicLink::SIGN . $this->topic . ($this->kind === '' ? '' : $this->kind . ($this->below < 0 ? 'm' : '') . abs($this->below));
    }
}
