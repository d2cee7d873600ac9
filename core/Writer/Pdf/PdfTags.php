<?php

declare(strict_types=1);

namespace Embrel\Writer\Pdf;

use Embrel\Pages\Structure;

/** The structure of a book as objects of a PDF file (ISO 32000-1, 14.7): which pieces of which page each element is made of. */
final class PdfTags
{
    /** Types of ours → the standard type that they are like. */
    private const ROLES = '<< /Title /P >>';

    /** @var array<int, list<array{page: int, mark: int, link: int|null}>> tag → what it is made of; a link stands for itself */
    private array $content = [];
    /** @var array<int, list<array{tag: int, link: int|null}>> page → mark → what it is of */
    private array $marks = [];
    /** @var array<int, array{tag: int, annotations: list<int>, mark: int, page: int}> */
    private array $links = [];

    public function __construct(private readonly Structure $structure, private readonly PdfFile $file) {}

    /** Whether a piece that has this tag is part of the text, and no decoration. */
    public function has(int $tag): bool
    {
        return isset($this->structure->tags[$tag]);
    }

    public function type(int $tag): string
    {
        return $this->structure->tags[$tag]['type'];
    }

    /** @return int the mark of a run of pieces on a page */
    public function mark(int $tag, int $page): int
    {
        $mark = \count($this->marks[$page] ?? []);
        $this->marks[$page][] = ['tag' => $tag, 'link' => null];
        $this->content[$tag][] = ['page' => $page, 'mark' => $mark, 'link' => null];

        return $mark;
    }

    /** @return int the mark of a run of pieces that are a link */
    public function link(int $tag, int $page, int $annotation): int
    {
        $mark = \count($this->marks[$page] ?? []);
        $link = \count($this->links);
        $this->marks[$page][] = ['tag' => $tag, 'link' => $link];
        $this->content[$tag][] = ['page' => $page, 'mark' => $mark, 'link' => $link];
        $this->links[] = ['tag' => $tag, 'annotations' => [$annotation], 'mark' => $mark, 'page' => $page];

        return $mark;
    }

    /** The link that was marked last goes on: another place to press. */
    public function goesOn(int $annotation): void
    {
        $this->links[\count($this->links) - 1]['annotations'][] = $annotation;
    }

    /** @return int which entry of the tree of parents tells of the link that was marked last */
    public function lastLink(int $pages): int
    {
        return $pages + \count($this->links) - 1;
    }

    /**
     * Writes the elements that have something in them.
     *
     * @param list<int> $pages the object of each page
     *
     * @return int the object of the root of the structure
     */
    public function write(array $pages): int
    {
        [$root, $whole] = [$this->file->reserve(), $this->file->reserve()];
        $children = $filled = [];
        foreach (array_keys($this->structure->tags) as $tag) {
            $children[$this->structure->tags[$tag]['parent']][] = $tag;
        }
        // From the last to the first: a parent stands before what is under it.
        for ($tag = \count($this->structure->tags) - 1; $tag >= 0; --$tag) {
            if (isset($this->content[$tag]) || isset($filled[$tag])) {
                $filled[$tag] = true;
                $filled[$this->structure->tags[$tag]['parent']] = true;
            }
        }
        unset($filled[Structure::NONE]);
        $numbers = array_map(fn(bool $_): int => $this->file->reserve(), $filled);
        $links = array_map(fn(array $_): int => $this->file->reserve(), $this->links);
        foreach ($numbers as $tag => $number) {
            $this->element($tag, $number, $numbers, $links, $children[$tag] ?? [], $pages, $whole);
        }
        foreach ($this->links as $i => ['tag' => $tag, 'annotations' => $annotations, 'mark' => $mark, 'page' => $page]) {
            $places = array_map(
                static fn(int $annotation): string => " << /Type /OBJR /Obj {$annotation} 0 R /Pg {$pages[$page]} 0 R >>",
                $annotations,
            );
            $this->file->object(
                "<< /Type /StructElem /S /Link /P {$numbers[$tag]} 0 R /Pg {$pages[$page]} 0 R /K [{$mark}" . implode('', $places) . '] >>',
                $links[$i],
            );
        }
        $parents = $this->parents($numbers, $links, \count($pages));
        $kids = implode(' ', array_map(
            static fn(int $tag): string => "{$numbers[$tag]} 0 R",
            array_filter($children[Structure::NONE] ?? [], static fn(int $tag): bool => isset($numbers[$tag])),
        ));
        $this->file->object("<< /Type /StructElem /S /Document /P {$root} 0 R /K [{$kids}] >>", $whole);
        $this->file->object(
            '<< /Type /StructTreeRoot /RoleMap ' . self::ROLES . " /K [{$whole} 0 R] /ParentTree {$parents} 0 R /ParentTreeNextKey "
                . (\count($pages) + \count($this->links)) . ' >>',
            $root,
        );

        return $root;
    }

    /**
     * @param array<int, int> $numbers  tag → object
     * @param array<int, int> $links    the object of each link
     * @param list<int>       $children tags
     * @param list<int>       $pages
     */
    private function element(int $tag, int $number, array $numbers, array $links, array $children, array $pages, int $whole): void
    {
        ['type' => $type, 'parent' => $parent, 'says' => $says, 'more' => $more] = $this->structure->tags[$tag];
        $kids = [];
        $page = null;
        foreach ($this->content[$tag] ?? [] as ['page' => $on, 'mark' => $mark, 'link' => $link]) {
            if ($link !== null) {
                $kids[] = "{$links[$link]} 0 R";
                continue;
            }
            $page ??= $on;
            $kids[] = $on === $page ? (string) $mark : "<< /Type /MCR /Pg {$pages[$on]} 0 R /MCID {$mark} >>";
        }
        foreach ($children as $child) {
            array_push($kids, ...isset($numbers[$child]) ? ["{$numbers[$child]} 0 R"] : []);
        }
        $this->file->object(
            "<< /Type /StructElem /S /{$type} /P " . ($numbers[$parent] ?? $whole) . ' 0 R'
                . ($page === null ? '' : " /Pg {$pages[$page]} 0 R")
                . ' /K [' . implode(' ', $kids) . ']'
                . ($says === '' ? '' : ' /Alt ' . PdfFile::text($says))
                . ($type === 'Note' ? " /ID (note-{$tag})" : '')
                . match ($more) {
                    '' => '',
                    'Column', 'Row' => " /A << /O /Table /Scope /{$more} >>",
                    default => " /A << /O /List /ListNumbering /{$more} >>",
                }
            . ' >>',
            $number,
        );
    }

    /**
     * From the marks of a page, and from links, to the elements that they are of (14.7.4.4).
     *
     * @param array<int, int> $numbers
     * @param array<int, int> $links
     */
    private function parents(array $numbers, array $links, int $pages): int
    {
        $entries = '';
        for ($page = 0; $page < $pages; ++$page) {
            $entries .= "{$page} [" . implode(' ', array_map(
                static fn(array $mark): string => ($mark['link'] === null ? $numbers[$mark['tag']] : $links[$mark['link']]) . ' 0 R',
                $this->marks[$page] ?? [],
            )) . '] ';
        }
        foreach ($links as $i => $link) {
            $entries .= ($pages + $i) . " {$link} 0 R ";
        }

        return $this->file->object("<< /Nums [{$entries}] >>");
    }
}
