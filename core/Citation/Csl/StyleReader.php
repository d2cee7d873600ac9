<?php

declare(strict_types=1);

namespace Embrel\Citation\Csl;

use Embrel\Citation\Csl\Element\Choose;
use Embrel\Citation\Csl\Element\Condition;
use Embrel\Citation\Csl\Element\Dates;
use Embrel\Citation\Csl\Element\Element;
use Embrel\Citation\Csl\Element\Group;
use Embrel\Citation\Csl\Element\Label;
use Embrel\Citation\Csl\Element\NameForm;
use Embrel\Citation\Csl\Element\Names;
use Embrel\Citation\Csl\Element\Number;
use Embrel\Citation\Csl\Element\Row;
use Embrel\Citation\Csl\Element\Text;
use Embrel\Citation\Csl\Element\Words;

/**
 * Makes of the elements of a style what carries them out. A macro is read once for citations and once for the list, as both have options
 * of their own.
 */
final class StyleReader
{
    private const TESTS = ['variable', 'is-numeric', 'is-uncertain-date', 'locator', 'position', 'disambiguate'];

    /** @var array<string, \DOMElement> */
    private array $macros = [];

    /** @var array<string, Row> */
    private array $read = [];

    /** @var array<string, true> macros that are being read */
    private array $within = [];

    /** @var array<string, string> options of names that the root and the layout hand down */
    private array $options = [];

    private bool $placesLetters = false;

    private bool $numbers = false;

    /** @var array<string, true> */
    private array $calls = [];

    /** Elements around the one that is read; only those of a layout itself are blocks. */
    private int $depth = 0;

    /** The <names> within whose <substitute> we are. */
    private ?\DOMElement $names = null;

    private function __construct(private readonly Locales $locales) {}

    /**
     * @param string $language of the work; empty: that of the style
     * @param string $words    the XML of a locale whose words go before those of the language
     *
     * @throws CslError
     */
    public static function read(string $xml, Locales $locales, string $language = '', string $words = ''): Style
    {
        return (new self($locales))->style(self::root($xml, 'style'), $language, $words);
    }

    /** @throws CslError */
    public static function root(string $xml, string $name): \DOMElement
    {
        if (stripos($xml, '<!DOCTYPE') !== false || stripos($xml, '<!ENTITY') !== false) {
            throw new CslError('The file declares entities, which no style needs.');
        }
        $document = new \DOMDocument();
        $was = libxml_use_internal_errors(true);
        $isRead = $xml !== '' && $document->loadXML($xml, LIBXML_NONET | LIBXML_NOBLANKS | LIBXML_NOCDATA | LIBXML_COMPACT);
        $error = libxml_get_last_error();
        libxml_clear_errors();
        libxml_use_internal_errors($was);
        $root = $document->documentElement;
        if (!$isRead || $root === null) {
            throw new CslError(
                'This is no XML that can be read' . ($error === false ? '.' : ": line {$error->line}: " . trim($error->message) . '.'),
            );
        }
        if ($root->localName !== $name) {
            throw new CslError("The file begins with <{$root->localName}> and not with <{$name}>.");
        }

        return $root;
    }

    /** @return array<string, string> */
    public static function attributes(\DOMElement $element): array
    {
        $out = [];
        foreach ($element->attributes as $attribute) {
            $out[$attribute->nodeName] = preg_replace('/[\x00-\x08\x0A-\x1F\x7F]/', '', (string) $attribute->nodeValue) ?? '';
        }

        return $out;
    }

    /** @return list<\DOMElement> */
    public static function children(\DOMElement $element): array
    {
        $out = [];
        foreach ($element->childNodes as $child) {
            if ($child instanceof \DOMElement) {
                $out[] = $child;
            }
        }

        return $out;
    }

    private function style(\DOMElement $root, string $language, string $words): Style
    {
        $attributes = self::attributes($root);
        $own = [];
        $layouts = [];
        foreach (self::children($root) as $child) {
            if ($child->localName === 'macro') {
                $this->macros[$child->getAttribute('name')] = $child;
            } elseif ($child->localName === 'locale') {
                $own[] = $child;
            } elseif (\in_array($child->localName, ['citation', 'bibliography'], true)) {
                $layouts[$child->localName] = $child;
            }
        }
        if (!isset($layouts['citation'])) {
            throw new CslError('The style does not say how citations are printed: it has no <citation>.');
        }
        $usual = $attributes['default-locale'] ?? 'en-US';
        // A language without a region is that of the style, where it is the same: a British style in English is British.
        $isSame = !str_contains($language, '-') && str_starts_with("{$usual}-", "{$language}-");
        $language = $language === '' || $isSame ? $usual : $language;
        $style = new Style(
            ($attributes['class'] ?? '') === 'note',
            $language,
            $attributes['page-range-format'] ?? '',
            $attributes['demote-non-dropping-particle'] ?? 'display-and-sort',
            ($attributes['initialize-with-hyphen'] ?? '') !== 'false',
            preg_match('/\A(?:fr|ru|cs)/', $attributes['default-locale'] ?? '') === 1,
            $this->locales->of($language, $words === '' ? $own : [self::root($words, 'locale'), ...$own]),
        );
        $style->citation = $this->layout($layouts['citation'], $attributes);
        $style->citesNumbers = $this->numbers;
        if (isset($layouts['bibliography'])) {
            $style->bibliography = $this->layout($layouts['bibliography'], $attributes);
        }
        $style->placesLetters = $this->placesLetters;
        $style->calls = $this->calls;

        return $style;
    }

    /** @param array<string, string> $root */
    private function layout(\DOMElement $element, array $root): Layout
    {
        $attributes = self::attributes($element);
        $this->options = $attributes + $root;
        $this->read = [];
        $keys = [];
        $layout = null;
        foreach (self::children($element) as $child) {
            if ($child->localName === 'sort') {
                foreach (self::children($child) as $key) {
                    $keys[] = $this->key(self::attributes($key));
                }
            } elseif ($child->localName === 'layout') {
                $layout = $child;
            }
        }
        if ($layout === null) {
            throw new CslError("<{$element->localName}> has no <layout>.");
        }
        $row = $this->row($layout);
        $own = self::attributes($layout);
        $first = self::children($layout)[0] ?? null;
        $usesBlocks = $first !== null && $first->hasAttribute('display');

        return new Layout($attributes, $keys, $row, Dress::of($own), $own['delimiter'] ?? '', $usesBlocks);
    }

    /** @param array<string, string> $attributes */
    private function key(array $attributes): Key
    {
        $names = null;
        if (isset($attributes['names-min']) || isset($attributes['names-use-first'])) {
            $names = [
                (int) ($attributes['names-min'] ?? $this->options['et-al-min'] ?? 0),
                (int) ($attributes['names-use-first'] ?? $this->options['et-al-use-first'] ?? 1),
                ($attributes['names-use-last'] ?? '') === 'true',
            ];
        }

        $this->call($attributes['variable'] ?? '');

        return new Key(
            $attributes['variable'] ?? '',
            isset($attributes['macro']) ? $this->macro($attributes['macro']) : null,
            ($attributes['sort'] ?? '') === 'descending',
            $names,
        );
    }

    private function macro(string $name): Row
    {
        if (!isset($this->macros[$name])) {
            throw new CslError("The style uses a macro “{$name}” that it does not have.");
        }
        if (isset($this->within[$name])) {
            throw new CslError("The macro “{$name}” calls itself.");
        }
        // Within <substitute>, names take what they do not say from those that they stand for.
        $key = $this->names === null ? $name : "{$name}\t" . $this->names->getNodePath();
        if (!isset($this->read[$key])) {
            $this->within[$name] = true;
            $this->read[$key] = $this->row($this->macros[$name]);
            unset($this->within[$name]);
        }

        return $this->read[$key];
    }

    private function row(\DOMElement $element): Row
    {
        $row = new Row();
        $within = \in_array($element->localName, ['layout', 'if', 'else-if', 'else'], true) ? 0 : 1;
        foreach (self::children($element) as $child) {
            $this->depth += $within;
            $made = $this->element($child);
            $this->depth -= $within;
            if ($made !== null) {
                $row->elements[] = $made;
            }
        }

        return $row;
    }

    /** @param string $variables one or more, with spaces between them */
    private function call(string $variables, bool $isShort = false): void
    {
        foreach (preg_split('/\s+/', $variables, -1, PREG_SPLIT_NO_EMPTY) ?: [] as $variable) {
            $this->calls[$variable] = true;
            if ($isShort) {
                $this->calls[Text::short($variable)] = true;
            }
        }
    }

    private function element(\DOMElement $element): ?Element
    {
        $attributes = self::attributes($element);
        if ($this->depth > 0) {
            unset($attributes['display']);
        }
        $dress = Dress::of($attributes);
        $this->call($attributes['variable'] ?? '', ($attributes['form'] ?? '') === 'short');
        $this->numbers = $this->numbers || ($attributes['variable'] ?? '') === 'citation-number';
        if (($attributes['variable'] ?? '') === 'year-suffix') {
            $this->placesLetters = true;
        }

        return match ($element->localName) {
            'text' => $this->text($attributes, $dress),
            'group' => new Group($dress, $this->row($element), $attributes['delimiter'] ?? ''),
            'choose' => $this->choose($element),
            'names' => $this->names($element, $attributes, $dress),
            'date' => $this->date($element, $attributes, $dress),
            'number' => new Number($dress, $attributes['variable'] ?? '', $attributes['form'] ?? 'numeric'),
            'label' => new Label(
                $dress,
                $attributes['variable'] ?? '',
                $attributes['form'] ?? 'long',
                $attributes['plural'] ?? 'contextual',
            ),
            default => null,
        };
    }

    /** @param array<string, string> $attributes */
    private function text(array $attributes, Dress $dress): Element
    {
        return match (true) {
            isset($attributes['macro']) => new Group($dress, $this->macro($attributes['macro']), isMacro: true),
            isset($attributes['variable']) => new Text($dress, $attributes['variable'], ($attributes['form'] ?? '') === 'short'),
            isset($attributes['term']) => new Words(
                $dress,
                '',
                $attributes['term'],
                $attributes['form'] ?? 'long',
                ($attributes['plural'] ?? '') === 'true',
            ),
            default => new Words($dress, $attributes['value'] ?? ''),
        };
    }

    private function choose(\DOMElement $element): Choose
    {
        $branches = [];
        foreach (self::children($element) as $child) {
            $branches[] = [$child->localName === 'else' ? null : $this->condition(self::attributes($child)), $this->row($child)];
        }

        return new Choose($branches);
    }

    /** @param array<string, string> $attributes */
    private function condition(array $attributes): Condition
    {
        $tests = [];
        $match = $attributes['match'] ?? 'all';
        $this->call($attributes['variable'] ?? '');
        foreach (array_intersect(['disambiguate', 'position'], array_keys($attributes)) as $kind) {
            $this->call($kind);
        }
        foreach (self::TESTS as $kind) {
            foreach (preg_split('/\s+/', $attributes[$kind] ?? '', -1, PREG_SPLIT_NO_EMPTY) ?: [] as $value) {
                $tests[] = [$kind, $value];
            }
        }

        // Nothing is of two types: of several, one is meant.
        $types = preg_split('/\s+/', $attributes['type'] ?? '', -1, PREG_SPLIT_NO_EMPTY) ?: [];

        return new Condition($tests, $match, $types === [] ? null : array_fill_keys($types, true));
    }

    /** @param array<string, string> $attributes */
    private function date(\DOMElement $element, array $attributes, Dress $dress): Dates
    {
        return new Dates(
            $dress,
            $attributes['variable'] ?? '',
            $attributes['form'] ?? '',
            $attributes['date-parts'] ?? 'year-month-day',
            $attributes['delimiter'] ?? '',
            array_map(self::attributes(...), self::children($element)),
        );
    }

    /**
     * Within names, “normal” takes nothing back of what <names> says itself.
     *
     * @param array<string, string> $attributes
     * @param array<string, string> $around
     *
     * @return array<string, string>
     */
    private static function unset(array $attributes, array $around): array
    {
        foreach (['font-style', 'font-variant', 'font-weight', 'text-decoration'] as $name) {
            if (isset($around[$name]) && \in_array($attributes[$name] ?? '', ['normal', 'none'], true)) {
                unset($attributes[$name]);
            }
        }

        return $attributes;
    }

    /** @param array<string, string> $attributes */
    private function names(\DOMElement $element, array $attributes, Dress $dress): Names
    {
        $from = $element;
        if (self::children($element) === [] && $this->names !== null) {
            $from = $this->names;
            $dress = Dress::of(self::attributes($from));
        }
        $options = array_intersect_key($this->options, array_flip(NameForm::INHERITED));
        foreach (['name-form' => 'form', 'name-delimiter' => 'delimiter'] as $handed => $option) {
            if (isset($this->options[$handed])) {
                $options[$option] = $this->options[$handed];
            }
        }
        $parts = [];
        $etAl = Dress::of([]);
        $etAlTerm = 'et-al';
        $label = $substitute = null;
        $labelFirst = false;
        $named = null;
        foreach (self::children($from) as $child) {
            $own = self::attributes($child);
            if ($child->localName === 'name') {
                $options = self::unset($own, self::attributes($from)) + $options;
                $named = $own['delimiter'] ?? null;
                $labelFirst = $label !== null;
                foreach (self::children($child) as $part) {
                    $parts[$part->getAttribute('name')] = self::unset(self::attributes($part), $own + $attributes);
                }
            } elseif ($child->localName === 'et-al') {
                $etAl = Dress::of($own);
                $etAlTerm = $own['term'] ?? 'et-al';
            } elseif ($child->localName === 'label') {
                $label = new Label(Dress::of($own), '', $own['form'] ?? 'long', $own['plural'] ?? 'contextual');
            } elseif ($child->localName === 'substitute' && $from === $element) {
                $substitute = $child;
            }
        }
        $form = new NameForm($options, $parts, $this->options, $named);
        if ($form->laterMin !== $form->min || $form->laterFirst !== $form->first) {
            $this->call('position');
        }
        $names = new Names(
            $dress,
            preg_split('/\s+/', $attributes['variable'] ?? '', -1, PREG_SPLIT_NO_EMPTY) ?: [],
            $attributes['delimiter'] ?? $this->options['names-delimiter'] ?? '',
            $form,
            $etAl,
            $etAlTerm,
            $label,
            $labelFirst,
        );
        if ($substitute !== null) {
            $outer = $this->names;
            $this->names = $element;
            $names->substitutes = $this->row($substitute)->elements;
            $this->names = $outer;
        }

        return $names;
    }
}
