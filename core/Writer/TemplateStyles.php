<?php

declare(strict_types=1);

namespace Embrel\Writer;

use Embrel\Archive\BadPackage;
use Embrel\Archive\BrokenXml;
use Embrel\Archive\Package;
use Embrel\Document\Pictures;
use Embrel\Document\Style;
use Embrel\Document\Template;
use Embrel\Limits;

/** The styles that a template has, which of ours each of them stands for, and its page. */
final readonly class TemplateStyles
{
    /** What the writer is asked about: our style → what it is called. */
    public const ASKED = [
        'Title' => 'Title',
        'Subtitle' => 'Subtitle',
        'Heading1' => 'Heading, level 1',
        'Heading2' => 'Heading, level 2',
        'Heading3' => 'Heading, level 3',
        'Heading4' => 'Heading, level 4',
        'BodyText' => 'Text',
        'Quote' => 'Quotation',
        'ListBullet' => 'Bullet list',
        'ListNumber' => 'Numbered list',
        'Caption' => 'Caption',
        'Code' => 'Code',
        'Bibliography' => 'References',
        'FootnoteText' => 'Footnote',
    ];
    /**
     * Names in other languages than English, and names that people give; matched whole, in lower case, without
     * digits and signs at the end.
     */
    private const NAMES = [
        'Title' => [
            'title',
            'titel',
            'titre',
            'título',
            'titulo',
            'titolo',
            'document title',
            'haupttitel',
            'заголовок документа',
            '标题',
            '表題',
        ],
        'Subtitle' => ['subtitle', 'untertitel', 'sous-titre', 'subtítulo', 'subtitulo', 'sottotitolo', 'ondertitel', 'undertitel'],
        'BodyText' => [
            'body text',
            'text body',
            'textkörper',
            'corps de texte',
            'texto de cuerpo',
            'corpo testo',
            'fließtext',
            'fliesstext',
            'brödtext',
            'brødtekst',
            'text',
            'paragraph',
            'absatz',
        ],
        'Quote' => [
            'quote',
            'quotations',
            'quotation',
            'block quote',
            'blockquote',
            'block text',
            'zitat',
            'zitate',
            'blockzitat',
            'citation',
            'cita',
            'citazione',
            'citaat',
            'citat',
            'sitat',
            'intense quote',
        ],
        'ListBullet' => [
            'list bullet',
            'bullet list',
            'bullets',
            'bullet',
            'aufzählungszeichen',
            'aufzählung',
            'liste à puces',
            'lista con viñetas',
            'elenco puntato',
            'list paragraph',
            'listenabsatz',
        ],
        'ListNumber' => [
            'list number',
            'numbered list',
            'numbering',
            'listennummer',
            'nummerierung',
            'liste numérotée',
            'lista con números',
            'elenco numerato',
        ],
        'Caption' => [
            'caption',
            'beschriftung',
            'bildunterschrift',
            'légende',
            'legende',
            'leyenda',
            'epígrafe',
            'didascalia',
            'bijschrift',
            'illustration',
            'figure caption',
            'figure',
        ],
        'Code' => [
            'code',
            'source code',
            'quelltext',
            'preformatted text',
            'vorformatierter text',
            'html preformatted',
            'listing',
            'macro text',
        ],
        'Bibliography' => [
            'bibliography',
            'references',
            'literaturverzeichnis',
            'bibliographie',
            'bibliografía',
            'bibliografia',
            'works cited',
            'bibliography 1',
            'reference list',
        ],
        'FootnoteText' => [
            'footnote text',
            'footnote',
            'fußnotentext',
            'fussnotentext',
            'fußnote',
            'note de bas de page',
            'texto nota pie',
            'testo nota a piè di pagina',
        ],
        'Author' => ['author', 'autor', 'auteur', 'autore', 'byline', 'verfasser'],
    ];
    private const HEADING = '/\A(?:heading|überschrift|ueberschrift|titre|título|titulo|titolo|kop|rubrik|overskrift|otsikko|nagłówek|nadpis|заголовок|标题|見出し|chapter|kapitel|section)\s*_?([1-9])\z/u';

    /**
     * @param array<string, array{name: string, level: int|null}> $known
     *     paragraph style of the template by id → its name and heading level from 1
     * @param array<string, string>                               $guessed our style → the one of the template that is like it
     */
    private function __construct(public array $known, public array $guessed, private Package $package, private Template $template) {}

    /** @throws \DomainException with a sentence for the person */
    public static function of(Template $template): self
    {
        return self::asked(static function () use ($template): self {
            $package = Package::ofBytes($template->bytes);
            $known = $template->kind === 'odt' ? Odt\OdtTemplate::styles($package) : Docx\DocxTemplate::styles($package);
            if (\count($known) > Limits::TEMPLATE_STYLES) {
                throw new \DomainException(
                    'This template cannot be used: it has '
                        . number_format(\count($known))
                        . ' styles, and '
                        . number_format(Limits::TEMPLATE_STYLES)
                        . ' can be looked through.',
                );
            }

            return new self($known, self::guesses($known), $package, $template);
        });
    }

    /**
     * @template T
     *
     * @param \Closure(): T $question
     *
     * @return T
     */
    private static function asked(\Closure $question): mixed
    {
        try {
            return $question();
        } catch (BadPackage|BrokenXml $why) {
            throw new \DomainException("This template cannot be used: {$why->getMessage()}.");
        }
    }

    /**
     * @param array<string, array{name: string, level: int|null}> $known
     *
     * @return array<string, string>
     */
    private static function guesses(array $known): array
    {
        $guesses = [];
        $called = [];
        foreach ($known as $id => $style) {
            $called[mb_strtolower($style['name'])] ??= (string) $id;
        }
        foreach (StyleNames::OURS as $ours => $name) {
            // The name that a word processor gives its own style, whatever language it shows it in.
            isset($called[mb_strtolower($name)]) ? ($guesses[$ours] = $called[mb_strtolower($name)]) : null;
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

    /**
     * A style with the page, the text, the head and the foot of the template: for its pages to be shown, and for
     * drafts in formats that cannot take the template itself.
     *
     * @return array{Style, Pictures|null} with the pictures among which its logo is
     *
     * @throws \DomainException with a sentence for the person
     */
    public function applied(Style $style, ?Pictures $pictures): array
    {
        [$look, $logo] = self::asked(
            fn(): array => $this->template->kind === 'odt'
                ? Odt\OdtTemplate::look($this->package, $this->chosen())
                : Docx\DocxTemplate::look($this->package, $this->chosen()),
        );
        $size = $logo === null ? false : @getimagesizefromstring($logo);
        if (
            $logo === null
            || $size === false
            || !\in_array($size[2], [\IMAGETYPE_PNG, \IMAGETYPE_JPEG], true)
            || $size[0] * $size[1] > Limits::PICTURE_PIXELS
        ) {
            return [Style::of(['logo' => null] + $look + $style->toArray()), $pictures];
        }
        $id = hash('sha256', $logo);

        return [Style::of(['logo' => $id] + $look + $style->toArray()), new WithLogo($id, $logo, $pictures)];
    }
}
