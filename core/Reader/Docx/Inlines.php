<?php

declare(strict_types=1);

namespace Embrel\Reader\Docx;

use Embrel\Archive\Xml;
use Embrel\Document\Anchor;
use Embrel\Document\Heard;
use Embrel\Document\Reading;
use Embrel\Reader\CitationFields;
use Embrel\Reader\RunMarks;
use Embrel\RichText\Flow;
use Embrel\RichText\Mark;
use Embrel\RichText\MarkType;
use Embrel\RichText\Node;
use Embrel\RichText\NodeType;
use Embrel\RichText\Schema;

/** What stands within a line: runs, fields, links, notes, pictures; and the bookmarks of ours in it. */
final class Inlines
{
    /** @var array{anchor: Anchor, before: string}|null the topic of the paragraph at hand, and what stood before its bookmark */
    public ?array $anchor = null;
    public bool $startsBlock = false;
    public bool $goesOn = false;
    /** Whether something of the paragraph at hand is not there by a change that was recorded. */
    public bool $isEmptied = false;

    private Fields $fields;
    private readonly CitationFields $citations;

    /**
     * @param array<string, string>                    $links     relationship → address
     * @param array<string, array<string, list<Node>>> $footnotes element → id → inlines
     * @param \Closure(): void                         $box       reads the text box at hand
     * @param array<string, array{string, string}>     $comments  id → who said it, and what
     */
    public function __construct(
        private readonly Xml $xml,
        private readonly Reading $reading,
        private readonly StyleSheet $styles,
        private readonly PicturesOf $pictures,
        private readonly array $links,
        private readonly array $footnotes,
        private readonly Wrappers $wrappers,
        private readonly \Closure $box,
        private readonly bool $refusesRecorded,
        private readonly array $comments,
    ) {
        $this->fields = new Fields();
        $this->citations = new CitationFields($reading);
    }

    /** A paragraph begins. */
    public function begin(): void
    {
        $this->anchor = null;
        $this->startsBlock = $this->goesOn = $this->isEmptied = false;
    }

    /** Fields that were never closed hide nothing that comes later. */
    public function end(): void
    {
        $this->fields = new Fields();
    }

    /**
     * @param array<string, bool> $run  what the paragraph sets on its runs
     * @param Mark|null           $link around them
     */
    public function inline(string $name, Flow $flow, array $run, ?Mark $link): void
    {
        match ($name) {
            'r' => $this->run($flow, $run, $link),
            'hyperlink' => $this->within(
                $flow,
                $run,
                $this->link((string) $this->xml->get('r:id'), (string) $this->xml->get('w:anchor')) ?? $link,
            ),
            'smartTag', 'customXml', 'dir', 'bdo' => $this->within($flow, $run, $link),
            'ins', 'moveTo' => $this->recorded($flow, $run, $link, Heard::INSERTED),
            'sdt' => $this->wrappers->control(fn(string $child) => $this->inline($child, $flow, $run, $link)),
            'fldSimple' => $this->simpleField($flow, $run, $link),
            'AlternateContent' => $this->wrappers->alternative(fn(string $child) => $this->inline($child, $flow, $run, $link)),
            'bookmarkStart' => $this->bookmark((string) $this->xml->get('w:name'), $flow),
            'del', 'moveFrom' => $this->recorded($flow, $run, $link, Heard::DELETED),
            'oMath', 'oMathPara' => $this->formula($flow, $link),
            default => null,
        };
    }

    /**
     * A change that was recorded and is open: it counts as accepted, or as never made.
     *
     * @param array<string, bool> $run
     */
    private function recorded(Flow $flow, array $run, ?Mark $link, string $kind): void
    {
        $who = (string) $this->xml->get('w:author');
        $stays = ($kind === Heard::INSERTED) !== $this->refusesRecorded;
        if ($kind === Heard::DELETED && !$this->refusesRecorded) {
            $this->reading->remark('Text that was deleted with changes tracked was left out.');
        }
        $into = $stays ? $flow : new Flow();
        $before = \strlen($into->plainText());
        $this->within($into, $run, $link);
        $this->reading->hears($kind, $who, substr($into->plainText(), $before));
        $this->isEmptied = $this->isEmptied || !$stays;
    }

    /** @param array<string, bool> $run */
    private function within(Flow $flow, array $run, ?Mark $link): void
    {
        foreach ($this->xml->children() as $name) {
            $this->inline($name, $flow, $run, $link);
        }
    }

    private function formula(Flow $flow, ?Mark $link): void
    {
        $this->reading->remark('A formula was taken in as plain text.');
        $flow->text($this->xml->text(), $link === null ? [] : [$link]);
    }

    private function bookmark(string $name, Flow $flow): void
    {
        $this->reading->name($name);
        $anchor = Anchor::of($name);
        if ($anchor !== null) {
            $this->anchor = ['anchor' => $anchor, 'before' => $flow->plainText()];
        }
        $this->startsBlock = $this->startsBlock || str_starts_with($name, Anchor::BLOCK);
        $this->goesOn = $this->goesOn || str_starts_with($name, Anchor::MORE);
    }

    private function link(string $relation, string $anchor): ?Mark
    {
        $address = $relation === '' ? '' : $this->links[$relation] ?? '';
        $address .= $anchor === '' ? '' : "#{$anchor}";

        return $this->linkTo($address);
    }

    private function linkTo(string $address): ?Mark
    {
        $address = str_replace(' ', '%20', trim($address));
        if (Schema::isSafeLink($address)) {
            return new Mark(MarkType::Link, ['href' => $address]);
        }
        if ($address !== '') {
            $this->reading->remark('A link that is not an address of the web, mail or telephone was left out; its text stays.');
        }

        return null;
    }

    /** @param array<string, bool> $run */
    private function simpleField(Flow $flow, array $run, ?Mark $link): void
    {
        $instruction = (string) $this->xml->get('w:instr');
        $kind = Fields::kind($instruction);
        if (!$kind['isHidden'] && !$this->says($instruction, $flow)) {
            $this->within($flow, $run, $kind['address'] === '' ? $link : $this->linkTo($kind['address']) ?? $link);
        }
    }

    /** @param array<string, bool> $run */
    private function run(Flow $flow, array $run, ?Mark $link): void
    {
        $this->reading->count();
        $marks = null;
        foreach ($this->xml->children() as $name) {
            if ($name === 'rPr') {
                $run = $this->runProperties($run);
                continue;
            }
            if ($name === 'fldChar') {
                $this->field((string) $this->xml->get('w:fldCharType'), $flow);
                continue;
            }
            if ($name === 'instrText') {
                $this->fields->instruct($this->xml->text());
                continue;
            }
            if ($this->fields->isHiding()) {
                continue;
            }
            $around = $this->fields->address() === '' ? $link : $this->linkTo($this->fields->address()) ?? $link;
            $marks ??= RunMarks::of($run, $around);
            $this->piece($name, $flow, $marks, $run);
        }
    }

    /**
     * @param array<string, bool> $run
     *
     * @return array<string, bool>
     */
    private function runProperties(array $run): array
    {
        $own = StyleSheet::run($this->xml);
        foreach (array_keys($own) as $key) {
            if (str_starts_with((string) $key, 'style:')) {
                $run = $this->styles->runOf(substr((string) $key, 6)) + $run;
            }
        }

        return $own + $run;
    }

    private function field(string $type, Flow $flow): void
    {
        match ($type) {
            'begin' => $this->fields->begin(),
            'separate' => $this->says($this->fields->separate(), $flow) ? $this->fields->hide() : null,
            'end' => $this->fields->end(),
            default => null,
        };
    }

    /** Whether the instruction of a field says all, so that its result, which is what was printed for it, is passed over. */
    private function says(string $instruction, Flow $flow): bool
    {
        if (Fields::kind($instruction)['name'] === 'TOC') {
            $this->reading->contents();
        } elseif (CitationFields::isList($instruction)) {
            $this->reading->references();

            return true;
        } elseif (!$this->fields->isHiding()) {
            $json = CitationFields::in($instruction);
            $citation = $json === null ? null : $this->citations->citation($json);
            $citation === null ?: $flow->put($citation);

            return $citation !== null;
        }

        return false;
    }

    /**
     * @param list<Mark>          $marks
     * @param array<string, bool> $run
     */
    private function piece(string $name, Flow $flow, array $marks, array $run): void
    {
        if ($run['hidden'] ?? false) {
            $this->reading->remark('Hidden text was left out.');

            return;
        }
        match ($name) {
            't', 'delText' => $flow->text($this->xml->at->readString(), $marks),
            'tab', 'ptab' => $flow->text("\t", $marks),
            'br', 'cr' => match (true) {
                !\in_array($this->xml->get('w:type'), ['page', 'column'], true) => $flow->break(),
                // Words before and after the end of a page stay two.
                !$flow->isEmpty() => $flow->text(' ', $marks),
                default => null,
            },
            'noBreakHyphen' => $flow->text("\u{2011}", $marks),
            'sym' => $flow->text(self::symbol((string) $this->xml->get('w:char')), $marks),
            'footnoteReference' => $this->note('footnote', $flow),
            'endnoteReference' => $this->note('endnote', $flow),
            'drawing', 'pict', 'object' => $this->picture($flow, $marks),
            'AlternateContent' => $this->wrappers->alternative(fn(string $child) => $this->piece($child, $flow, $marks, $run)),
            'ruby' => $this->ruby($flow, $marks),
            'commentReference' => $this->comment(),
            default => null,
        };
    }

    private function comment(): void
    {
        $this->reading->remark('A comment was left out.');
        [$who, $text] = $this->comments[(string) $this->xml->get('w:id')] ?? ['', ''];
        $this->reading->hears(Heard::COMMENT, $who, $text);
    }

    /** Signs of the symbol fonts stand in a private area; all but those are ordinary ones. */
    private static function symbol(string $hex): string
    {
        $code = preg_match('/\A[0-9a-fA-F]{1,6}\z/', $hex) === 1 ? (int) hexdec($hex) : 0;

        return $code < 32 || ($code >= 0xe000 && $code <= 0xf8ff) ? '•' : (mb_chr($code) ?: '');
    }

    private function note(string $kind, Flow $flow): void
    {
        $inlines = $this->footnotes[$kind][(string) $this->xml->get('w:id')] ?? null;
        if ($inlines !== null && $inlines !== []) {
            $this->reading->count(\count($inlines));
            $flow->put(new Node(NodeType::Footnote, [], $inlines));
        }
    }

    /** @param list<Mark> $marks */
    private function picture(Flow $flow, array $marks): void
    {
        $picture = $this->pictures->read($this->xml, $this->box);
        if ($picture !== null) {
            foreach ($marks as $mark) {
                $picture = $mark->type === MarkType::Link ? new Node(
                    NodeType::Picture,
                    $picture->attrs + ['href' => $mark->attrs['href']],
                ) : $picture;
            }
            $flow->put($picture);
        }
    }

    /** @param list<Mark> $marks */
    private function ruby(Flow $flow, array $marks): void
    {
        foreach ($this->xml->children() as $name) {
            if ($name === 'rubyBase') {
                $flow->text($this->xml->text(), $marks);
            }
        }
    }
}
