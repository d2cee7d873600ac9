<?php

declare(strict_types=1);

namespace Embrel\Writer\Latex;

use Embrel\Document\Anchor;
use Embrel\Document\Document;
use Embrel\Document\Element;
use Embrel\Document\Role;
use Embrel\Document\Style;
use Embrel\Draft\Choices;
use Embrel\Draft\Draft;
use Embrel\Draft\Figures;
use Embrel\Plan\Plan;
use Embrel\RichText\MarkType;
use Embrel\RichText\Node;
use Embrel\RichText\NodeType;
use Embrel\Writer\Losses;
use Embrel\Writer\Writer;

/** LaTeX source, for any engine that reads UTF-8. Numbers are typed, so that they are those of the plan. */
final class LatexWriter implements Writer
{
    private const HEADINGS = ['section', 'subsection', 'subsubsection', 'paragraph', 'subparagraph'];
    private const MARKS = [
        'bold' => 'textbf',
        'italic' => 'emph',
        'underline' => 'uline',
        'strike' => 'sout',
        'highlight' => 'marked',
        'superscript' => 'textsuperscript',
        'subscript' => 'textsubscript',
        'code' => 'texttt',
    ];
    private const ESCAPES = [
        '\\' => '\textbackslash{}',
        '{' => '\{',
        '}' => '\}',
        '$' => '\$',
        '&' => '\&',
        '#' => '\#',
        '_' => '\_',
        '%' => '\%',
        '~' => '\textasciitilde{}',
        '^' => '\textasciicircum{}',
        '<' => '\textless{}',
        '>' => '\textgreater{}',
        '|' => '\textbar{}',
        '"' => '\textquotedbl{}',
        '`' => '\textasciigrave{}',
        '[' => '{[}',
        ']' => '{]}',
        "\u{A0}" => '~',
    ];

    /** Engines that know Unicode take any font; the older one has no sign for much of it, and shows a question mark instead of stopping. */
    private const ENGINES = "\\ifdefined\\Umathchar\n\\usepackage{fontspec}\n\\else\n\\usepackage[T1]{fontenc}\n\\usepackage[utf8]{inputenc}\n\\makeatletter\\def\\UTFviii@undefined@err#1{?}\\makeatother\n\\fi\n";

    private Losses $losses;

    /** @param (\Closure(string): (string|null))|null $address the file of a picture, by its id; null: pictures are left out */
    public function __construct(private readonly ?\Closure $address = null) {}

    public function write(Plan $plan, Choices $choices, $out, string $work): array
    {
        $this->losses = new Losses();
        $document = Draft::of($plan, $choices);
        fwrite($out, self::preamble($document));
        $items = 0;
        foreach ($document->elements as $element) {
            $to = $element->role === Role::Heading || $element->role === Role::Reference ? 0 : $element->level;
            for (; $items > $to; --$items) {
                fwrite($out, "\\end{itemize}\n");
            }
            for (; $element->role === Role::Item && $items < $element->level; ++$items) {
                fwrite($out, "\\begin{itemize}\n" . ($items + 1 < $element->level ? "\\item\n" : ''));
            }
            fwrite($out, $this->element($element, $document));
        }
        fwrite($out, str_repeat("\\end{itemize}\n", $items) . "\\end{document}\n");
        $this->losses->also($document->missing);

        return $this->losses->sentences();
    }

    private static function preamble(Document $document): string
    {
        $style = $document->style;
        [$top, $right, $bottom, $left] = $style->margins + [25.0, 25.0, 25.0, 25.0];
        [$width, $height] = array_map(
            static fn(float $one): float => round($one / Style::POINTS, 1),
            $style->page($document->properties->pageSize),
        );
        $size = $style->size >= 11.5 ? 12 : ($style->size >= 10.5 ? 11 : 10);
        $facts = array_filter(array_map($document->field(...), array_intersect($style->titleFields, ['author', 'subject', 'words'])));
        $language = $document->language()->babel();

        return "\\documentclass[{$size}pt]{article}\n"
            . self::ENGINES
            . "\\usepackage{textcomp}\n\\usepackage[{$language}]{babel}\n"
            . "\\usepackage[paperwidth={$width}mm,paperheight={$height}mm,top={$top}mm,right={$right}mm,bottom={$bottom}mm,left={$left}mm]{geometry}\n"
            . "\\usepackage{graphicx}\n\\usepackage[normalem]{ulem}\n\\usepackage{xcolor}\n\\newcommand\\marked{\\bgroup\\markoverwith{\\textcolor{yellow!60}{\\rule[-.5ex]{2pt}{2.5ex}}}\\ULon}\n\\usepackage{enumitem}\n\\usepackage[hidelinks]{hyperref}\n\\setlistdepth{9}\\renewlist{itemize}{itemize}{9}\\setlist[itemize]{label=\\textbullet}\\renewlist{enumerate}{enumerate}{9}\\setlist[enumerate]{label=\\arabic*.}\n"
            . '\\linespread{'
            . round(($style->line / 1.2) * 1.0, 2)
            . "}\n\\setlength{\\parskip}{{$style->gap}pt}\n\\setlength{\\parindent}{{$style->firstLine}mm}\n\\setcounter{secnumdepth}{-1}\n\\setcounter{tocdepth}{{$document->contentsDepth}}\n"
            . '\title{'
            . self::escaped($document->title)
            . ($document->properties->subtitle === '' ? '' : '\\\\ \large ' . self::escaped($document->properties->subtitle))
            . "}\n"
            . '\author{'
            . implode('\\\\ ', array_map(self::escaped(...), $facts))
            . "}\n\\date{"
            . self::escaped($document->date)
            . "}\n\\begin{document}\n\\maketitle\n"
            . ($document->contents === [] ? '' : "\\tableofcontents\n\\clearpage\n")
            . ($document->figures === [] ? '' : "\\listoffigures\n\\clearpage\n");
    }

    private function reference(Element $element, Document $document): string
    {
        $look = $document->listLook;
        $em = $document->referenceEms();
        $label = $element->number === '' ? '' : "\\makebox[{$em}em][l]{" . self::escaped($element->number) . '}';
        $hangs = $em > 0 ? "\\hangindent={$em}em" : '';
        $after = $look->between === null ? '' : "\\vspace{\\dimexpr{$look->between}\\baselineskip-\\parskip}";
        $high = $look->lines === null ? '' : "\\linespread{{$look->lines}}\\selectfont";

        return "{{$high}{$hangs}\\noindent {$label}" . $this->inlines($element->behindNumber()) . "\\par}{$after}\n";
    }

    private function element(Element $element, Document $document): string
    {
        $label = $element->topic === '' ? '' : '\\label{' . (new Anchor($element->topic))->name() . '}';

        return match ($element->role) {
            Role::Heading => "\n\\" . self::HEADINGS[min(5, $element->level) - 1] . '{' . self::titled($element) . "}{$label}\n\n",
            Role::Item => '\item ' . self::titled($element) . "{$label}\n",
            Role::Quote => "\\begin{quote}\n"
                . self::escaped($element->title)
                . "{$label}\n\\end{quote}"
                . ($element->inQuote ? "\\nopagebreak\n" : "\n"),
            Role::Picture => $this->picture(
                (string) $element->picture?->id,
                '',
                ($element->picture->shown ?? 0) * Style::PICTURE,
                'topicPicture',
            ),
            Role::Reference => $this->reference($element, $document),
            default => $element->block === null
                ? ''
                : ($element->inQuote
                    ? "\\begin{quote}\n" . $this->block($element->block) . "\\end{quote}\n"
                    : $this->block($element->block)),
        };
    }

    private static function titled(Element $element): string
    {
        return self::escaped(trim("{$element->number} {$element->title}"));
    }

    private function block(Node $node): string
    {
        return match ($node->type) {
            NodeType::Paragraph => $this->inlines($node->content) . "\n\n",
            NodeType::Heading => '\paragraph*{' . $this->inlines($node->content) . "}\\mbox{}\n\n",
            NodeType::BulletList, NodeType::TaskList => $this->list('itemize', $node),
            NodeType::OrderedList => $this->list('enumerate', $node),
            NodeType::Blockquote => "\\begin{quote}\n" . $this->blocks($node->content) . "\\end{quote}\n",
            NodeType::CodeBlock => "\\begin{verbatim}\n"
                . str_replace('\end{verbatim}', '\end {verbatim}', $node->plainText())
                . "\n\\end{verbatim}\n",
            NodeType::HorizontalRule => "\\noindent\\rule{\\linewidth}{0.4pt}\n\n",
            NodeType::Table => $this->table($node),
            NodeType::Picture => $this->picture(
                $node->string('picture') ?? '',
                $node->string('caption') ?? '',
                (float) $node->int('width', 0),
                'picture',
            ),
            default => '',
        };
    }

    /** @param list<Node> $nodes */
    private function blocks(array $nodes): string
    {
        return implode('', array_map($this->block(...), $nodes));
    }

    private function list(string $environment, Node $list): string
    {
        $start = $list->int('start', 1);
        $out = "\\begin{{$environment}}" . ($start === 1 ? '' : "[start={$start}]") . "\n";
        foreach ($list->content as $item) {
            $check = $item->type === NodeType::TaskItem ? (($item->attrs['checked'] ?? false) === true ? '{[}x{]} ' : '{[}~{]} ') : '';
            $out .= '\item ' . $check . rtrim($this->blocks($item->content)) . "\n";
        }

        return "{$out}\\end{{$environment}}\n\n";
    }

    private function table(Node $table): string
    {
        $columns = max([1, ...array_map(static fn(Node $row): int => \count($row->content), $table->content)]);
        $width = round(0.94 / $columns, 3);
        $out = '\\begin{center}\\begin{tabular}{|' . str_repeat("p{{$width}\\linewidth}|", $columns) . "}\n\\hline\n";
        foreach ($table->content as $row) {
            $cells = array_map(
                fn(Node $cell): string => ($cell->type === NodeType::TableHeader ? '\bfseries ' : '') . trim($this->blocks($cell->content)),
                array_pad($row->content, $columns, new Node(NodeType::TableCell)),
            );
            $out .= implode(' & ', $cells) . " \\\\ \\hline\n";
        }

        return "{$out}\\end{tabular}\\end{center}\n\n";
    }

    /** @param float $width in pixels, 96 to the inch; 0: its own */
    private function picture(string $id, string $caption, float $width, string $loss): string
    {
        $file = $id === '' || $this->address === null ? null : ($this->address)($id);
        if ($file === null) {
            $this->losses->note($loss);

            return $caption === '' ? '' : self::escaped($caption) . "\n\n";
        }
        $size
            = $width > 0
                ? 'width=\ifdim' . ($points = round($width * 0.75)) . "pt>\\linewidth\\linewidth\\else{$points}pt\\fi"
                : 'max width=\linewidth';
        $image = '\includegraphics[' . ($width > 0 ? $size : 'width=0.8\linewidth') . "]{{$file}}";

        $caption = self::escaped(Figures::bare($caption));

        return $caption === '' ? "\\noindent {$image}\n\n" : "\\begin{figure}[htbp]\n{$image}\n\\caption{{$caption}}\n\\end{figure}\n\n";
    }

    /** @param list<Node> $nodes */
    private function inlines(array $nodes): string
    {
        return implode(
            '',
            array_map(
                fn(Node $node): string => match ($node->type) {
                    NodeType::Text => self::run($node),
                    NodeType::HardBreak => "\\newline\n",
                    NodeType::Footnote => '\footnote{' . $this->inlines($node->content) . '}',
                    default => '',
                },
                $nodes,
            ),
        );
    }

    private static function run(Node $node): string
    {
        $text = self::escaped($node->text);
        foreach ($node->marks as $mark) {
            $href = $mark->attrs['href'] ?? '';
            $text = match (true) {
                $mark->type === MarkType::Scaffold => '',
                $mark->type !== MarkType::Link => '\\' . self::MARKS[$mark->type->value] . "{{$text}}",
                str_starts_with($href, '#') => '\hyperref[' . preg_replace('/[^A-Za-z0-9_-]/', '', substr($href, 1)) . "]{{$text}}",
                default => '\href{'
                    . strtr($href, [
                        '\\' => '\%5C',
                        '%' => '\%',
                        '#' => '\#',
                        '{' => '\%7B',
                        '}' => '\%7D',
                        '&' => '\&',
                        '^' => '\%5E',
                        '~' => '\%7E',
                    ])
                    . "}{{$text}}",
            };
        }

        return $text;
    }

    public static function escaped(string $text): string
    {
        return strtr(str_replace("\n", ' ', $text), self::ESCAPES);
    }
}
