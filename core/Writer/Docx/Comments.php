<?php

declare(strict_types=1);

namespace Embrel\Writer\Docx;

use Embrel\Archive\Xml;
use Embrel\Document\Remark;
use Embrel\Document\Remarks;

/** Remarks as comments of a word processor (ECMA-376, 17.13.4): the range in the text, and the part that says what they say. */
final readonly class Comments
{
    public const TYPE = '<Override PartName="/word/comments.xml" '
        . 'ContentType="application/vnd.openxmlformats-officedocument.wordprocessingml.comments+xml"/>';

    public function __construct(private Remarks $remarks) {}

    public function isEmpty(): bool
    {
        return $this->remarks->all === [];
    }

    /** The runs of a paragraph, with the remarks that are about it around them. */
    public function onBlock(?string $block, string $runs): string
    {
        return self::around($this->remarks->on($block), $runs);
    }

    public function onTopic(string $topic, string $runs): string
    {
        return self::around($this->remarks->at($topic), $runs);
    }

    /** @param array<int, Remark> $remarks */
    private static function around(array $remarks, string $runs): string
    {
        $starts = $ends = '';
        foreach (array_keys($remarks) as $id) {
            $starts .= "<w:commentRangeStart w:id=\"{$id}\"/>";
            $ends .= "<w:commentRangeEnd w:id=\"{$id}\"/><w:r><w:commentReference w:id=\"{$id}\"/></w:r>";
        }

        return $starts . $runs . $ends;
    }

    public function xml(): string
    {
        $xml = '<w:comments xmlns:w="' . Body::W . '">';
        foreach ($this->remarks->all as $id => $remark) {
            $who = Xml::escaped($remark->who);
            preg_match_all('/(?<!\p{L})\p{L}/u', $remark->who, $m);
            $initials = Xml::escaped(implode('', \array_slice($m[0], 0, 3)));
            $xml .= "<w:comment w:id=\"{$id}\" w:author=\"{$who}\" w:date=\"{$remark->at}\" w:initials=\"{$initials}\">";
            foreach ($remark->paragraphs() as $text) {
                $xml .= '<w:p>' . Runs::text($text) . '</w:p>';
            }
            $xml .= '</w:comment>';
        }

        return "{$xml}</w:comments>";
    }
}
