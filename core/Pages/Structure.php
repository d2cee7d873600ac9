<?php

declare(strict_types=1);

namespace Embrel\Pages;

/**
 * What the parts of a page are and how they belong together, in the order in which they are read: the logical structure
 * of ISO 32000-1, 14.7, with its standard types (14.8.4). What has no tag is decoration.
 */
final class Structure
{
    public const NONE = -1;

    /** @var list<array{type: string, parent: int, says: string, more: string}> */
    public array $tags = [];

    /**
     * @param string $type   a standard type, such as P, H1, LI, or one of those that PdfTags maps to one
     * @param int    $parent another tag, or NONE for the whole
     * @param string $says   what it shows, for who does not see it
     * @param string $more   attributes, such as the scope of a head cell
     *
     * @return int the tag
     */
    public function add(string $type, int $parent = self::NONE, string $says = '', string $more = ''): int
    {
        $this->tags[] = ['type' => $type, 'parent' => $parent, 'says' => $says, 'more' => $more];

        return \count($this->tags) - 1;
    }

    /**
     * Says of lines what they are.
     *
     * @param list<Line> $lines
     *
     * @return list<Line>
     */
    public static function tag(array $lines, int $tag): array
    {
        foreach ($lines as $line) {
            $line->tag = $tag;
        }

        return $lines;
    }
}
