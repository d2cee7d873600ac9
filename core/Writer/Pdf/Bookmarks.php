<?php

declare(strict_types=1);

namespace Embrel\Writer\Pdf;

use Embrel\Pages\Book;

/** The headings of a book as the outline that readers show beside its pages (ISO 32000-1, 12.3.3). */
final readonly class Bookmarks
{
    public function __construct(private PdfFile $file) {}

    /**
     * @param list<int> $pages the object of each page
     *
     * @return int|null the object of the outline; null where there are no headings
     */
    public function write(Book $book, array $pages): ?int
    {
        $root = $this->file->reserve();
        $entries = [];
        /** @var array<int, list<int>> $children entry, or -1 for the outline → the entries right under it */
        $children = [];
        /** @var array<int, int> $open level → the entry that is open there */
        $open = [];
        foreach ($book->pages as $p => $page) {
            foreach ($page->headings as [$title, $level, $y]) {
                $open = array_filter($open, static fn(int $at): bool => $at < $level, ARRAY_FILTER_USE_KEY);
                $parent = $open === [] ? -1 : $open[max(array_keys($open))];
                $entries[] = [
                    'number' => $this->file->reserve(),
                    'title' => $title,
                    'parent' => $parent,
                    'place' => \count($children[$parent] ?? []),
                    'at' => \sprintf('[%d 0 R /XYZ 0 %.1F null]', $pages[$p], $book->height - $y + 6.0),
                ];
                $children[$parent][] = $open[$level] = \count($entries) - 1;
            }
        }
        $top = $children[-1] ?? [];
        if ($top === []) {
            $this->file->object('null', $root);

            return null;
        }
        $numbers = array_column($entries, 'number');
        foreach ($entries as $i => $entry) {
            $siblings = $children[$entry['parent']] ?? [];
            $under = $children[$i] ?? [];
            [$before, $after] = [$siblings[$entry['place'] - 1] ?? null, $siblings[$entry['place'] + 1] ?? null];
            $this->file->object(
                '<< /Title '
                    . PdfFile::text($entry['title'])
                    . ' /Parent '
                    . ($entry['parent'] < 0 ? $root : $numbers[$entry['parent']])
                    . " 0 R /Dest {$entry['at']}"
                    . ($before === null ? '' : " /Prev {$numbers[$before]} 0 R")
                    . ($after === null ? '' : " /Next {$numbers[$after]} 0 R")
                    . ($under === []
                        ? ''
                        : " /First {$numbers[$under[0]]} 0 R /Last {$numbers[$under[\count($under) - 1]]} 0 R /Count -" . \count($under))
                    . ' >>',
                $entry['number'],
            );
        }
        $this->file->object(
            "<< /Type /Outlines /First {$numbers[$top[0]]} 0 R /Last {$numbers[$top[\count($top) - 1]]} 0 R /Count " . \count($top) . ' >>',
            $root,
        );

        return $root;
    }
}
