<?php

declare(strict_types=1);

namespace Embrel\Citation\Csl;

use Embrel\Citation\CitedAs;

/** What the file of a style says of itself, and whether it is one that can be carried out. */
final readonly class StyleFile
{
    /** The longest of the standard's own collection has 70,000. */
    public const BYTES = 1_000_000;
    private const ELEMENTS = 20_000;
    private const LEVELS = 60;
    /** How deep elements stand in each other where every macro stands in its place. */
    private const DEEPEST = 200;
    /** Elements that one entry can come to, with all macros in their places and each choice at its longest; the most known is 1,300. */
    private const CARRIED_OUT = 5_000;
    private const TITLE = 200;

    /** @param string $parent id of the style that it follows; empty: it says itself how it is printed */
    private function __construct(
        public string $title,
        public string $id,
        public string $parent,
        public ?CitedAs $citedAs,
        public string $xml,
    ) {}

    /** @throws CslError */
    public static function read(string $xml): self
    {
        $info = null;
        foreach (StyleReader::children(StyleReader::root($xml, 'style')) as $child) {
            $info = $child->localName === 'info' ? $child : $info;
        }
        $title = $id = $parent = '';
        $citedAs = null;
        foreach ($info === null ? [] : StyleReader::children($info) as $child) {
            if ($child->localName === 'title') {
                $title = trim((string) preg_replace('/[\s\p{Cc}]+/u', ' ', $child->textContent));
            } elseif ($child->localName === 'id') {
                $id = trim($child->textContent);
            } elseif ($child->localName === 'link' && $child->getAttribute('rel') === 'independent-parent') {
                $parent = $child->getAttribute('href');
            } elseif ($child->localName === 'category' && $child->hasAttribute('citation-format')) {
                $citedAs = CitedAs::tryFrom($child->getAttribute('citation-format'));
            }
        }

        return new self(mb_substr($title === '' ? 'A style without a name' : $title, 0, self::TITLE), $id, $parent, $citedAs, $xml);
    }

    /**
     * Reads a file that somebody brings: its size, its build, every rule of the schema, and whether it can be carried out.
     *
     * @param string $schema the standard's own, as RELAX NG
     *
     * @throws CslError with a sentence that says what is wrong, and in which line
     */
    public static function checked(string $xml, string $schema): self
    {
        self::measure($xml);
        $root = StyleReader::root($xml, 'style');
        $document = $root->ownerDocument ?? throw new CslError('The file is empty.');
        $was = libxml_use_internal_errors(true);
        libxml_clear_errors();
        $isValid = $document->relaxNGValidateSource($schema);
        $error = libxml_get_errors()[0] ?? null;
        libxml_clear_errors();
        libxml_use_internal_errors($was);
        if (!$isValid) {
            throw new CslError(
                'The file is not as the Citation Style Language has it'
                . ($error === null ? '.' : ", from line {$error->line}: " . trim($error->message) . '.'),
            );
        }
        $file = self::read($xml);
        if ($file->parent === '') {
            self::weigh($root);
            // What can be carried out only in part would fail at the first draft: it is tried now.
            StyleReader::read($xml, new Locales(static fn(): ?string => null));
        }

        return $file;
    }

    /**
     * A style that follows another, as one that says itself how it is printed.
     *
     * @throws CslError
     */
    public static function composed(string $dependent, string $parent): string
    {
        [$own, $whole] = [StyleReader::root($dependent, 'style'), StyleReader::root($parent, 'style')];
        $document = $whole->ownerDocument;
        $infos = [];
        foreach ([$own, $whole] as $root) {
            foreach (StyleReader::children($root) as $child) {
                $child->localName !== 'info' ?: $infos[] = $child;
            }
        }
        if ($document === null || \count($infos) !== 2) {
            throw new CslError('A style says in <info> what it is called; this one does not.');
        }
        $info = $document->importNode($infos[0], true);
        foreach ($info instanceof \DOMElement ? StyleReader::children($info) : [] as $child) {
            if ($child->getAttribute('rel') === 'independent-parent') {
                // Where it was taken from stays known.
                $child->setAttribute('rel', 'template');
            }
        }
        $whole->replaceChild($info, $infos[1]);

        return (string) $document->saveXML();
    }

    /** What is too large is refused before it is built. */
    private static function measure(string $xml): void
    {
        if (\strlen($xml) > self::BYTES) {
            throw new CslError('The file is larger than a style can be: 1 MB at most.');
        }
        if (!mb_check_encoding($xml, 'UTF-8')) {
            throw new CslError('The file is no text in UTF-8, in which styles are written.');
        }
        if (trim($xml) === '') {
            throw new CslError('The file is empty: this is no XML that can be read.');
        }
        $reader = new \XMLReader();
        $was = libxml_use_internal_errors(true);
        $elements = 0;
        $reader->XML($xml, null, LIBXML_NONET | LIBXML_COMPACT);
        // Where it cannot be read, root() says why.
        while (@$reader->read()) {
            $elements += $reader->nodeType === \XMLReader::ELEMENT ? 1 : 0;
            if ($elements > self::ELEMENTS || $reader->depth > self::LEVELS || $reader->nodeType === \XMLReader::DOC_TYPE) {
                break;
            }
        }
        $depth = $reader->depth;
        libxml_clear_errors();
        libxml_use_internal_errors($was);
        if ($elements > self::ELEMENTS) {
            throw new CslError('The file has more than 20,000 elements, which no style needs.');
        }
        if ($depth > self::LEVELS) {
            throw new CslError('The file has elements within elements, more than 60 deep, which no style needs.');
        }
    }

    /** Macros that call others twice and these others again would never come to an end. */
    private static function weigh(\DOMElement $root): void
    {
        $macros = $weights = $open = [];
        foreach (StyleReader::children($root) as $child) {
            $child->localName !== 'macro' ?: $macros[$child->getAttribute('name')] = $child;
        }
        $weigh = static function (\DOMElement $element, int $level) use (&$weigh, &$weights, &$open, $macros): int {
            if ($level > self::DEEPEST) {
                throw new CslError('Macros call macros within macros, more than 200 deep, which no style needs.');
            }
            $weight = 1;
            $name = $element->getAttribute('macro');
            if (isset($macros[$name])) {
                if (isset($open[$name])) {
                    throw new CslError("The macro “{$name}” calls itself.");
                }
                $open[$name] = true;
                $weight += $weights[$name] ??= $weigh($macros[$name], $level + 1);
                unset($open[$name]);
            }
            $within = array_map(static fn(\DOMElement $child): int => $weigh($child, $level + 1), StyleReader::children($element));
            $weight += $element->localName === 'choose' ? max([0, ...$within]) : array_sum($within);

            return $weight <= self::CARRIED_OUT ? $weight : throw new CslError('The style calls its macros so often that no entry would end.');
        };
        foreach (StyleReader::children($root) as $child) {
            \in_array($child->localName, ['citation', 'bibliography'], true) && $weigh($child, 0);
        }
    }
}
