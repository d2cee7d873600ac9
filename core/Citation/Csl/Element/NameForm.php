<?php

declare(strict_types=1);

namespace Embrel\Citation\Csl\Element;

use Embrel\Citation\Csl\Dress;

/** How names are written and how many of them: what a style, its layout and its <name> say together. */
final readonly class NameForm
{
    /** Options as the root, a layout and <name> call them. */
    public const INHERITED = [
        'and', 'delimiter-precedes-et-al', 'delimiter-precedes-last', 'et-al-min', 'et-al-use-first', 'et-al-use-last',
        'et-al-subsequent-min', 'et-al-subsequent-use-first', 'initialize', 'initialize-with', 'initialize-with-hyphen',
        'name-as-sort-order', 'sort-separator',
    ];

    public string $form;
    public string $and;
    public string $delimiter;
    public string $beforeEtAl;
    public string $beforeLast;
    public string $beforeLastBody;
    public string $bodyDelimiter;
    public int $min;
    public int $first;
    public int $laterMin;
    public int $laterFirst;
    public bool $last;
    public bool $initialize;
    public ?string $with;
    public string $turned;
    public string $separator;
    public Dress $dress;
    public Dress $family;
    public Dress $given;

    /**
     * @param array<string, string>                $options
     * @param array<string, string>                $handed  those of them that the root and the layout hand down
     * @param string|null                          $named   the delimiter that <name> has itself
     * @param array<string, array<string, string>> $parts   name-part → attributes
     */
    public function __construct(
        private array $options,
        private array $parts,
        private array $handed = [],
        private ?string $named = null,
    ) {
        $this->form = $options['form'] ?? 'long';
        $this->and = $options['and'] ?? '';
        $this->delimiter = $options['delimiter'] ?? ', ';
        $this->beforeEtAl = $options['delimiter-precedes-et-al'] ?? 'contextual';
        $this->beforeLast = $options['delimiter-precedes-last'] ?? 'contextual';
        $this->bodyDelimiter = $named ?? ', ';
        $this->beforeLastBody = $handed['delimiter-precedes-last'] ?? 'contextual';
        $this->min = (int) ($options['et-al-min'] ?? 0);
        $this->first = (int) ($options['et-al-use-first'] ?? 1);
        $this->laterMin = (int) ($options['et-al-subsequent-min'] ?? $this->min);
        $this->laterFirst = (int) ($options['et-al-subsequent-use-first'] ?? $this->first);
        $this->last = ($options['et-al-use-last'] ?? '') === 'true';
        $this->initialize = ($options['initialize'] ?? '') !== 'false';
        $this->with = $options['initialize-with'] ?? null;
        $this->turned = $options['name-as-sort-order'] ?? '';
        $this->separator = (string) preg_replace('/ {2,}/', ' ', $options['sort-separator'] ?? ', ');
        $this->dress = Dress::of($options);
        $this->family = Dress::of($parts['family'] ?? []);
        $this->given = Dress::of($parts['given'] ?? []);
    }

    /** Names that stand in the place of others have their parts set as those have, but for parts that they set themselves. */
    public function inPlaceOf(self $other): self
    {
        return $other->parts === [] ? $this : new self($this->options, $this->parts + $other->parts, $this->handed, $this->named);
    }
}
