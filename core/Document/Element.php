<?php

declare(strict_types=1);

namespace Embrel\Document;

use Embrel\Citation\ListLook;
use Embrel\Plan\Picture;
use Embrel\Plan\Sign;
use Embrel\RichText\Node;

/**
 * One element of a draft. A draft is kept flat, in reading order: the tree is in the levels. So a
 * writer can stream it, at any depth.
 */
final readonly class Element
{
    /**
     * @param int       $level    of a heading from 1; of an item how deep its list is nested, from 1;
     *                            of a body or quote how many items it stands under, from 0
     * @param string    $number   as it stands before the title; empty for none
     * @param string    $title    of a heading, item or quote
     * @param string    $topic    the id of the topic it was made of
     * @param Node|null $block    of a body or reference
     * @param int       $depth    how deep the topic stands in the plan, from 1
     * @param bool      $inQuote
     *     whether the body belongs to a quote; of a quote: whether its note follows, from which its title must
     *     not be parted
     * @param Picture|null $picture of a picture; its title is what it shows
     * @param bool      $appendix whether the number is an appendix's or stands under one
     * @param string    $dye      the colour of its section, six hexadecimal digits after a #
     * @param list<string> $names by which links in a document that was read call the topic, or what stands in its text
     * @param list<Heard> $heard  recorded changes and comments in the text of a topic
     * @param bool      $isDeep   of a heading: a section that came back as an item, because it stands deeper than headings go
     * @param string    $typed    of a topic that came back: what looked like its number, and was taken off its title
     * @param list<array{place: string, topic: string, element: int, page?: int}> $places
     *     of an entry of the index: the bookmarks where its term stands, the section of each, and the page, where it is known
     * @param Sign|null $sign     of a heading or item: stands after its title
     * @param Anchor|null $anchor by which the topic is found again when the document comes back
     */
    public function __construct(
        public Role $role,
        public int $level,
        public string $number = '',
        public string $title = '',
        public string $topic = '',
        public ?Node $block = null,
        public int $depth = 0,
        public bool $inQuote = false,
        public bool $appendix = false,
        public ?Picture $picture = null,
        public string $dye = '',
        public ?Anchor $anchor = null,
        public array $names = [],
        public string $typed = '',
        public bool $isDeep = false,
        public array $heard = [],
        public ?Sign $sign = null,
        public array $places = [],
    ) {}

    /** @return list<Node> of a reference: what follows its number, with which its content begins */
    public function behindNumber(): array
    {
        return ListLook::behind($this->number, $this->block->content ?? []);
    }

    /** @param array<string, mixed> $changes field → value of the field's own type */
    public function with(array $changes): self
    {
        return new self(...$changes + get_object_vars($this)); // @phpstan-ignore argument.type (each caller passes the field's own type)
    }
}
