<?php

declare(strict_types=1);

namespace Embrel\Writer;

use Embrel\Archive\BadPackage;
use Embrel\Archive\BrokenXml;
use Embrel\Archive\Package;
use Embrel\Document\Style;
use Embrel\Document\Template;
use Embrel\Writer\Docx\StyleNames;

/** The styles that a template has, which of ours each of them stands for, and its page. */
final readonly class TemplateStyles
{
    /** What the writer is asked about: our style → what it is called. */
    public const ASKED = [
        'Title' => 'Title', 'Subtitle' => 'Subtitle', 'Heading1' => 'Heading, level 1', 'Heading2' => 'Heading, level 2', 'Heading3' => 'Heading, level 3', 'Heading4' => 'Heading, level 4',
        'BodyText' => 'Text', 'Quote' => 'Quotation', 'ListBullet' => 'Bullet list', 'ListNumber' => 'Numbered list', 'Caption' => 'Caption', 'Code' => 'Code', 'Bibliography' => 'References', 'FootnoteText' => 'Footnote',
    ];
    /** Names in other languages than English, and names that people give; matched whole, in lower case, without digits and signs at the end. */
    private const NAMES = [
        'Title' => ['title', 'titel', 'titre', 'título', 'titulo', 'titolo', 'document title', 'haupttitel', 'заголовок документа', '标题', '表題'],
        'Subtitle' => ['subtitle', 'untertitel', 'sous-titre', 'subtítulo', 'subtitulo', 'sottotitolo', 'ondertitel', 'undertitel'],
        'BodyText' => ['body text', 'text body', 'textkörper', 'corps de texte', 'texto de cuerpo', 'corpo testo', 'fließtext', 'fliesstext', 'brödtext', 'brødtekst', 'text', 'paragraph', 'absatz'],
        'Quote' => ['quote', 'quotations', 'quotation', 'block quote', 'blockquote', 'block text', 'zitat', 'zitate', 'blockzitat', 'citation', 'cita', 'citazione', 'citaat', 'citat', 'sitat', 'intense quote'],
        'ListBullet' => ['list bullet', 'bullet list', 'bullets', 'bullet', 'aufzählungszeichen', 'aufzählung', 'liste à puces', 'lista con viñetas', 'elenco puntato', 'list paragraph', 'listenabsatz'],
        'ListNumber' => ['list number', 'numbered list', 'numbering', 'listennummer', 'nummerierung', 'liste numérotée', 'lista con números', 'elenco numerato'],
        'Caption' => ['caption', 'beschriftung', 'bildunterschrift', 'légende', 'legende', 'leyenda', 'epígrafe', 'didascalia', 'bijschrift', 'illustration', 'figure caption', 'figure'],
        'Code' => ['code', 'source code', 'quelltext', 'preformatted text', 'vorformatierter text', 'html preformatted', 'listing', 'macro text'],
        'Bibliography' => ['bibliography', 'references', 'literaturverzeichnis', 'bibliographie', 'bibliografía', 'bibliografia', 'works cited', 'bibliography 1', 'reference list'],
        'FootnoteText' => ['footnote text', 'footnote', 'fußnotentext', 'fussnotentext', 'fußnote', 'note de bas de page', 'texto nota pie', 'testo nota a piè di pagina'],
        'Author' => ['author', 'autor', 'auteur', 'autore', 'byline', 'verfasser'],
    ];
    private const HEADING = '/\A(?:heading|überschrift|ueberschrift|titre|título|titulo|titolo|kop|rubrik|overskrift|otsikko|nagłówek|nadpis|заголовок|标题|見出し|chapter|kapitel|section)\s*_?([1-9])\z/u';

    /**
     * @param array<string, array{name: string, level: int|null}> $known   paragraph style of the template by id → its name and heading level from 1
     * @param array<string, string>                               $guessed our style → the one of the template that is like it
     * @param array<string, mixed>                                $page    settings of Style that its page and text have
     */
    private function __construct(public array $known, public array $guessed, private array $page, private Template $template) {}

    /** @throws \DomainException with a sentence for the person */
    public static function of(Template $template): self
    {
        try {
            $package = Package::ofBytes($template->bytes);
            [$known, $page] = $template->kind === 'odt' ? Odt\OdtTemplate::styles($package) : Docx\DocxTemplate::styles($package);
        } catch (BadPackage|BrokenXml $why) {
            throw new \DomainException("This template cannot be used: {$why->getMessage()}.");
        }

        return new self($known, self::guesses($known), $page, $template);
    }

    /**
     * @param array<string, array{name: string, level: int|null}> $known
     *
     * @return array<string, string>
     */
    private static function guesses(array $known): array
    {
        $guesses = [];
        foreach (StyleNames::OURS as $ours => $name) {
            foreach ($known as $id => $style) {
                // The name that a word processor gives its own style, whatever language it shows it in.
                if (!isset($guesses[$ours]) && mb_strtolower($style['name']) === mb_strtolower($name)) {
                    $guesses[$ours] = (string) $id;
                }
            }
        }
        foreach ($known as $id => $style) {
            $name = mb_strtolower(trim($style['name']));
            $level = preg_match(self::HEADING, $name, $m) === 1 ? (int) $m[1] : $style['level'];
            if ($level !== null && $level <= 9) {
                $guesses["Heading{$level}"] ??= (string) $id;
            }
            foreach (self::NAMES as $ours => $names) {
                if (\in_array($name, $names, true)) {
                    $guesses[$ours] ??= (string) $id;
                }
            }
        }

        return $guesses;
    }

    /** @return array<string, string> our style → the one that a draft takes: as the writer chose, else as it was guessed */
    public function chosen(): array
    {
        $chosen = array_filter($this->template->styles, fn(string $id): bool => isset($this->known[$id]));

        return $chosen + $this->guessed;
    }

    /** A style with the page and the text of the template, so that pages are shown nearly as they will be. */
    public function applied(Style $style): Style
    {
        return Style::of($this->page + ['paper' => null] + $style->toArray());
    }
}
