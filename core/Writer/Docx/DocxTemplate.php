<?php

declare(strict_types=1);

namespace Embrel\Writer\Docx;

use Embrel\Archive\BadPackage;
use Embrel\Archive\Package;
use Embrel\Archive\Xml;
use Embrel\Archive\ZipFile;
use Embrel\Document\Document;
use Embrel\Document\Template;
use Embrel\Draft\Choices;
use Embrel\Draft\Draft;
use Embrel\Plan\Plan;
use Embrel\Writer\IndexPages;
use Embrel\Writer\ListNumbers;
use Embrel\Writer\Losses;
use Embrel\Writer\OpcPackage;
use Embrel\Writer\StyleNames;
use Embrel\Writer\TemplateFields;
use Embrel\Writer\TemplateStyles;

/**
 * A draft in a document of the writer's own: its parts go along as they are but for the text, to which
 * come the styles and lists that it lacks. What it has is never altered.
 */
final class DocxTemplate
{
    private const W = Body::W;
    /** Parts that are written anew, or must not go along. */
    private const LEFT = '/\A(?:\[Content_Types\]\.xml|word\/vba.*|_xmlsignatures\/.*|docProps\/(?:core|thumbnail).*|word\/(?:comments.*|people)\.xml)\z/i';
    private const MAIN_TYPE = 'application/vnd.openxmlformats-officedocument.wordprocessingml.document.main+xml';
    private const PART_TYPE = 'application/vnd.openxmlformats-officedocument.wordprocessingml.';

    private readonly string $main;
    private readonly string $folder;

    private function __construct(private readonly Package $package)
    {
        $relations = Xml::dom($package->text('_rels/.rels'));
        $main = '';
        foreach ($relations->getElementsByTagName('Relationship') as $relation) {
            $main = str_ends_with($relation->getAttribute('Type'), '/officeDocument')
                ? ltrim($relation->getAttribute('Target'), '/')
                : $main;
        }
        $this->main = $package->has($main) ? $main : throw BadPackage::missing('word/document.xml');
        $this->folder = \dirname($this->main);
    }

    private static function path(\DOMDocument $dom): \DOMXPath
    {
        $path = new \DOMXPath($dom);
        $path->registerNamespace('w', self::W);
        $path->registerNamespace('a', 'http://schemas.openxmlformats.org/drawingml/2006/main');

        return $path;
    }

    /** @return list<\DOMElement> */
    private static function all(\DOMXPath $path, string $query, ?\DOMNode $from = null): array
    {
        $found = [];
        foreach ($path->query($query, $from) ?: [] as $node) {
            $node instanceof \DOMElement ? ($found[] = $node) : null;
        }

        return $found;
    }

    /** @return array<string, array{name: string, level: int|null}> paragraph style by id → its name and heading level from 1 */
    public static function styles(Package $package): array
    {
        $path = self::path(Xml::dom((new self($package))->part('styles')));
        $known = [];
        foreach (self::all($path, '//w:style[@w:type="paragraph"]') as $style) {
            $level = self::value($path, 'w:pPr/w:outlineLvl', $style);
            $known[$style->getAttributeNS(self::W, 'styleId')] = [
                'name' => (string) self::value($path, 'w:name', $style),
                'level' => $level !== null && (int) $level < 9 ? (int) $level + 1 : null,
            ];
        }

        return $known;
    }

    /**
     * @param array<string, string> $chosen our style → the one of the template
     *
     * @return array{array<string, mixed>, string|null} settings of Style, and the picture in its head or foot
     */
    public static function look(Package $package, array $chosen): array
    {
        $template = new self($package);
        $theme = $template->name('theme');
        $look = new TemplateLook(
            self::path(Xml::dom($template->part('styles'))),
            $theme === null ? null : self::path(Xml::dom($package->text($theme))),
        );
        $path = self::path(Xml::dom($package->text($template->main)));
        $path->registerNamespace('r', Body::R);
        $section = self::all($path, '//w:body/w:sectPr')[0] ?? null;
        $settings = $look->text($chosen) + TemplateLook::page($section);
        $logo = null;
        foreach (['header', 'footer'] as $line) {
            $id = $section === null ? null : self::all($path, "w:{$line}Reference[@w:type='default']", $section)[0] ?? null;
            $name = $id === null ? null : $template->target($template->relationsName(), $id->getAttributeNS(Body::R, 'id'));
            $part = $name === null ? null : self::path(TemplateFields::named(Xml::dom($package->text($name)), self::W, 't'));
            $settings[$line] = $part === null ? ['', '', ''] : $look->running($part);
            $blip = $part === null ? null : self::all($part, '//a:blip')[0] ?? null;
            $picture
                = $blip === null || $name === null
                    ? null
                    : $template->target(\dirname($name) . '/_rels/' . basename($name) . '.rels', $blip->getAttributeNS(Body::R, 'embed'));
            $logo ??= $picture === null ? null : $package->text($picture);
        }

        return [$settings, $logo];
    }

    /** The part that a relation leads to; null where there is none in the package. */
    private function target(string $relations, string $id): ?string
    {
        $these = $this->package->has($relations) ? Xml::dom($this->package->text($relations))->getElementsByTagName('Relationship') : [];
        foreach ($these as $relation) {
            $target = $relation->getAttribute('Target');
            $name = str_starts_with($target, '/') ? ltrim($target, '/') : "{$this->folder}/{$target}";
            if ($relation->getAttribute('Id') === $id && $this->package->has($name)) {
                return $name;
            }
        }

        return null;
    }

    private static function value(\DOMXPath $path, string $query, ?\DOMNode $from = null): ?string
    {
        $found = self::all($path, $query, $from)[0] ?? null;

        return $found?->getAttributeNS(self::W, 'val');
    }

    private function part(string $type): string
    {
        $name = $this->name($type);

        return $name === null ? throw BadPackage::missing("{$type}.xml") : $this->package->text($name);
    }

    /** The part that the main part names as a type; null where there is none. */
    private function name(string $type): ?string
    {
        $relations = $this->relations();
        foreach ($relations->getElementsByTagName('Relationship') as $relation) {
            if (str_ends_with($relation->getAttribute('Type'), "/{$type}") && $relation->getAttribute('TargetMode') !== 'External') {
                $target = $relation->getAttribute('Target');
                $name = str_starts_with($target, '/') ? ltrim($target, '/') : "{$this->folder}/{$target}";

                return $this->package->has($name) ? $name : null;
            }
        }

        return null;
    }

    private function relationsName(): string
    {
        return "{$this->folder}/_rels/" . basename($this->main) . '.rels';
    }

    private function relations(): \DOMDocument
    {
        return Xml::dom(
            $this->package->has($this->relationsName())
                ? $this->package->text($this->relationsName())
                : '<Relationships xmlns="' . DocxWriter::PACKAGE_RELATIONS . '"/>',
        );
    }

    /**
     * @param resource $out
     *
     * @return list<string> what could not be expressed, a sentence each
     */
    public static function write(Template $template, Plan $plan, Choices $choices, $out, string $work): array
    {
        return (new self(Package::ofBytes($template->bytes)))->draft($template, $plan, $choices, $out, $work);
    }

    /**
     * @param resource $out
     *
     * @return list<string>
     */
    private function draft(Template $template, Plan $plan, Choices $choices, $out, string $work): array
    {
        $losses = new Losses();
        $losses->also($choices->draft->remarks === [] ? [] : ['remark' => \count($choices->draft->remarks)]);
        $choices = $choices->drafted(['remarks' => []]);
        $document = IndexPages::in(Draft::of($plan, $choices), $choices->pictures);
        $styles = Xml::dom($this->part('styles'));
        $names = $this->namesIn($styles, TemplateStyles::of($template)->chosen());
        $numbering = $this->name('numbering') === null ? null : Xml::dom($this->part('numbering'));
        $lists = new Lists(
            new ListNumbers($document, ListNumbers::countsAbove($plan, $choices->from)),
            $numbering === null ? 0 : self::highest($numbering),
        );
        [$front, $section, $namespaces] = $this->frame($document);
        [$separators, $firstNote] = $this->separators();
        $body = new Body($document, $lists, $losses, $choices->pictures, $names, $section, $front, $firstNote);
        $body->write("{$work}/document.xml", $namespaces);
        $this->addStyles($styles, $names, $document, $lists);

        $zip = new ZipFile("{$work}/draft.docx");
        $written = [$this->main, $this->relationsName(), $this->name('styles'), $this->name('numbering'), $this->name('footnotes')];
        foreach ($this->package->names() as $name) {
            if (preg_match(self::LEFT, $name) !== 1 && !\in_array($name, $written, true) && !str_ends_with($name, '/')) {
                $isRunning = preg_match('/\/(?:header|footer)[^\/]*\.xml\z/', $name) === 1;
                $zip->text(
                    $name,
                    $isRunning ? TemplateFields::filled($this->package->text($name), self::W, 't', $document) : $this->package->text($name),
                );
            }
        }
        $zip->file($this->main, "{$work}/document.xml")
            ->text((string) $this->name('styles'), (string) $styles->saveXML())
            ->text($this->name('numbering') ?? "{$this->folder}/numbering.xml", $this->numbering($numbering, $lists))
            ->text(
                $this->name('footnotes') ?? "{$this->folder}/footnotes.xml",
                DocxWriter::DECLARATION . DocxWriter::footnotes($body->runs, $names, $separators, $firstNote),
            )
            ->text(
                \dirname($this->name('footnotes') ?? "{$this->folder}/footnotes.xml")
                    . '/_rels/'
                    . basename($this->name('footnotes') ?? 'footnotes.xml')
                    . '.rels',
                DocxWriter::DECLARATION
                    . '<Relationships xmlns="'
                    . DocxWriter::PACKAGE_RELATIONS
                    . '">'
                    . DocxWriter::links($body->runs)
                    . '</Relationships>',
            )
            ->text($this->relationsName(), $this->relationsWith($body->runs))
            ->text('docProps/core.xml', DocxWriter::DECLARATION . OpcPackage::properties($document->title, $document->properties))
            ->text('[Content_Types].xml', $this->types());
        DocxWriter::media($zip, $body->runs, $choices, $this->folder);
        $zip->sendTo($out);
        $losses->also($document->missing);

        return $losses->sentences();
    }

    /** @param array<string, string> $chosen */
    private function namesIn(\DOMDocument $styles, array $chosen): StyleNames
    {
        $path = self::path($styles);
        $taken = array_flip(
            array_map(static fn(\DOMElement $style): string => $style->getAttributeNS(self::W, 'styleId'), self::all($path, '//w:style')),
        );
        $names = [];
        foreach (StyleNames::OURS as $ours => $_) {
            // Character and table styles are found by their ids; a style of ours that the template lacks must not take the id of another.
            $names[$ours]
                = $chosen[$ours]
                ?? (isset($taken[$ours]) && preg_match('/Reference|Hyperlink|TableGrid/', $ours) !== 1 ? "Embrel{$ours}" : $ours);
        }

        return new StyleNames($names);
    }

    private function addStyles(\DOMDocument $styles, StyleNames $names, Document $document, Lists $lists): void
    {
        $path = self::path($styles);
        $taken = array_flip(
            array_map(static fn(\DOMElement $style): string => $style->getAttributeNS(self::W, 'styleId'), self::all($path, '//w:style')),
        );
        $default = self::all($path, '//w:style[@w:type="paragraph"][@w:default="1"]')[0] ?? null;
        $base = $default?->getAttributeNS(self::W, 'styleId') ?? 'Normal';
        foreach (Styles::all($document, $lists->base(), $lists->headings()) as $ours => $xml) {
            $id = $names->of($ours);
            if (isset($taken[$id])) {
                continue;
            }
            // A style that comes into a template takes its font, and no list but what each paragraph says.
            $xml = str_replace(
                ["w:styleId=\"{$ours}\"", 'w:basedOn w:val="Normal"'],
                ["w:styleId=\"{$id}\"", "w:basedOn w:val=\"{$base}\""],
                preg_replace(['/<w:numPr>.*?<\/w:numPr>/', '/<w:next [^>]*>/'], '', $xml) ?? '',
            );
            $piece = $styles->createDocumentFragment();
            $piece->appendXML(str_replace('<w:style ', '<w:style xmlns:w="' . self::W . '" ', $xml));
            $styles->documentElement?->appendChild($piece);
        }
    }

    private static function highest(\DOMDocument $numbering): int
    {
        $highest = 0;
        foreach (self::all(self::path($numbering), '//w:abstractNum | //w:num') as $list) {
            $highest = max($highest, (int) $list->getAttributeNS(self::W, 'abstractNumId'), (int) $list->getAttributeNS(self::W, 'numId'));
        }

        return $highest + 1;
    }

    private function numbering(?\DOMDocument $numbering, Lists $lists): string
    {
        if ($numbering === null || $numbering->documentElement === null) {
            return DocxWriter::DECLARATION . $lists->xml();
        }
        $path = self::path($numbering);
        $first = self::all($path, '/w:numbering/w:num')[0] ?? null;
        $after = self::all($path, '/w:numbering/w:numIdMacAtCleanup')[0] ?? null;
        foreach ([[$lists->definitions(), $first ?? $after], [$lists->numbers(), $after]] as [$xml, $before]) {
            $piece = $numbering->createDocumentFragment();
            $piece->appendXML(preg_replace('/<w:(abstractNum|num) /', '<w:$1 xmlns:w="' . self::W . '" ', $xml) ?? '');
            $numbering->documentElement->insertBefore($piece, $before);
        }

        return (string) $numbering->saveXML();
    }

    /**
     * What stands around our text: the template's own text where it names fields, such as a title page, and the
     * properties of its last section.
     *
     * @return array{string, string, array<string, string>} front, section and the namespaces that they need
     */
    private function frame(Document $document): array
    {
        $xml = $this->package->text($this->main);
        $hasFields = preg_match('/\{(?:title|subtitle|author|subject|date)\}/', strip_tags($xml)) === 1;
        $dom = Xml::dom($hasFields ? TemplateFields::filled($xml, self::W, 't', $document) : $xml);
        $path = self::path($dom);
        $body = self::all($path, '/w:document/w:body')[0] ?? throw BadPackage::missing('a body');
        $sections = self::all($path, 'w:sectPr', $body);
        $section = $sections === [] ? '' : (string) $dom->saveXML($sections[\count($sections) - 1]);
        $front = '';
        foreach ($hasFields ? $body->childNodes : [] as $node) {
            $front .= $node === ($sections[\count($sections) - 1] ?? null) ? '' : $dom->saveXML($node);
        }
        $front
            = preg_replace(
                '/<w:(?:footnoteReference|endnoteReference|commentReference|commentRangeStart|commentRangeEnd)\b[^>]*\/>/',
                '',
                $front,
            ) ?? '';
        $namespaces = [];
        foreach ($path->query('namespace::*', $dom->documentElement) ?: [] as $node) {
            $namespaces[(string) $node->localName] = (string) $node->nodeValue;
        }

        return [$front, $section, array_diff_key($namespaces, ['w' => 1, 'r' => 1, 'xml' => 1, '' => 1])];
    }

    /** @return array{string, int} the separators of the template's footnotes as XML, and the number after which ours begin */
    private function separators(): array
    {
        $name = $this->name('footnotes');
        if ($name === null) {
            return ['', 0];
        }
        $dom = Xml::dom($this->package->text($name));
        $xml = '';
        $highest = 0;
        foreach (self::all(self::path($dom), '//w:footnote[@w:type]') as $note) {
            $xml .= $dom->saveXML($note);
            $highest = max($highest, (int) $note->getAttributeNS(self::W, 'id'));
        }

        return [$xml, $highest];
    }

    private function relationsWith(Runs $runs): string
    {
        $dom = $this->relations();
        $xml = DocxWriter::links($runs) . DocxWriter::mediaRelations($runs);
        foreach (['numbering', 'footnotes'] as $part) {
            $xml
                .= $this->name($part) === null
                    ? "<Relationship Id=\"embrel-{$part}\" Type=\"" . Body::R . "/{$part}\" Target=\"{$part}.xml\"/>"
                    : '';
        }
        foreach (iterator_to_array($dom->getElementsByTagName('Relationship'), false) as $relation) {
            // Macros, comments and the template's own template do not go along.
            if (preg_match('/\/(?:vbaProject|comments\w*|people|attachedTemplate)\z/', $relation->getAttribute('Type')) === 1) {
                $relation->parentNode?->removeChild($relation);
            }
        }
        $piece = $dom->createDocumentFragment();
        $piece->appendXML(str_replace('<Relationship ', '<Relationship xmlns="' . DocxWriter::PACKAGE_RELATIONS . '" ', $xml));
        $xml === '' ? null : $dom->documentElement?->appendChild($piece);

        return (string) $dom->saveXML();
    }

    private function types(): string
    {
        $dom = Xml::dom($this->package->text('[Content_Types].xml'));
        $root = $dom->documentElement ?? throw BadPackage::damaged();
        $defaults = $parts = [];
        foreach (iterator_to_array($root->childNodes, false) as $type) {
            if (!($type instanceof \DOMElement)) {
                continue;
            }
            $part = ltrim($type->getAttribute('PartName'), '/');
            $defaults[strtolower($type->getAttribute('Extension'))] = true;
            $parts[$part] = true;
            if ($part !== '' && preg_match(self::LEFT, $part) === 1) {
                $root->removeChild($type);
                unset($parts[$part]);
            } elseif ($part === $this->main) {
                $type->setAttribute('ContentType', self::MAIN_TYPE);
            }
        }
        $xml = '';
        foreach (
            [
                'png' => 'image/png',
                'jpeg' => 'image/jpeg',
                'xml' => 'application/xml',
                'rels' => 'application/vnd.openxmlformats-package.relationships+xml',
            ] as $extension => $type
        ) {
            $xml .= isset($defaults[$extension]) ? '' : "<Default Extension=\"{$extension}\" ContentType=\"{$type}\"/>";
        }
        foreach (['numbering', 'footnotes'] as $part) {
            $name = $this->name($part) ?? "{$this->folder}/{$part}.xml";
            $xml .= isset($parts[$name]) ? '' : "<Override PartName=\"/{$name}\" ContentType=\"" . self::PART_TYPE . "{$part}+xml\"/>";
        }
        $xml .= '<Override PartName="/docProps/core.xml" ContentType="application/vnd.openxmlformats-package.core-properties+xml"/>';
        $piece = $dom->createDocumentFragment();
        $piece->appendXML(
            preg_replace('/<(Default|Override) /', '<$1 xmlns="http://schemas.openxmlformats.org/package/2006/content-types" ', $xml) ?? '',
        );
        $root->appendChild($piece);

        return (string) $dom->saveXML();
    }
}
