<?php

declare(strict_types=1);

namespace Embrel\Check\Text;

use Embrel\MalformedShape;
use Embrel\Shape;

/**
 * All that the rules must know of one note: found once when it is written, and kept beside it, so that a plan is checked
 * without its notes. Which of it is worth a word depends on the plan, and is decided there.
 */
final readonly class Reading
{
    /** Of the stored form and of what is looked for: another one is read anew. */
    public const VERSION = 3;
    public const TWO_SPACES = 'spaces';
    public const WORD_TWICE = 'twice';
    public const STRAIGHT = 'straight';
    /** With the kind behind it. */
    public const QUOTES = 'quotes ';
    public const ADDRESS = 'address';
    public const SENTENCE = 'sentence';
    public const PARAGRAPH = 'paragraph';
    public const PASSIVE = 'passive';
    public const UNSOURCED = 'unsourced';
    public const CITES = 'cites';
    public const REFERS = 'refers';
    public const NO_CAPTION = 'caption';
    public const NO_ALTERNATIVE = 'alternative';
    public const SCAFFOLD = 'scaffold';

    /**
     * @param list<Spot>         $spots  in reading order
     * @param array<string, int> $quotes kind of quotation marks (en, de, fr) → how many open there
     * @param bool               $onlyAsks whether there is nothing in it but questions that wait for an answer, and scaffolding
     */
    public function __construct(
        public string $language,
        public array $spots = [],
        public Spread $sentences = new Spread(),
        public Spread $paragraphs = new Spread(),
        public array $quotes = [],
        public bool $onlyAsks = false,
    ) {}

    /** @return array<string, mixed> the stored form */
    public function toArray(): array
    {
        return [
            'v' => self::VERSION,
            'language' => $this->language,
            'spots' => array_map(
                static fn(Spot $spot): array => [
                    $spot->sign,
                    $spot->block,
                    $spot->line,
                    $spot->from,
                    $spot->length,
                    $spot->text,
                    $spot->words,
                ],
                $this->spots,
            ),
            'sentences' => [$this->sentences->count, $this->sentences->sum, $this->sentences->squares],
            'paragraphs' => [$this->paragraphs->count, $this->paragraphs->sum, $this->paragraphs->squares],
            'quotes' => (object) $this->quotes,
            'asks' => $this->onlyAsks,
        ];
    }

    /**
     * @param array<string, mixed>|null $form     as it was stored
     * @param string                    $language of the plan as it is now
     *
     * @return self|null null: it was read by other rules or in another language, and must be read anew
     */
    public static function read(?array $form, string $language): ?self
    {
        if ($form === null || ($form['v'] ?? null) !== self::VERSION || ($form['language'] ?? null) !== $language) {
            return null;
        }
        try {
            $shape = new Shape($form, 'reading');
            $quotes = [];
            foreach ($shape->has('quotes') ? $shape->object('quotes')->values() : [] as $kind => $count) {
                $quotes[(string) $kind] = \is_int($count) ? $count : 0;
            }

            return new self(
                $language,
                array_map(self::spot(...), $shape->list('spots')),
                self::spread($shape->list('sentences')),
                self::spread($shape->list('paragraphs')),
                $quotes,
                $shape->has('asks') && $shape->bool('asks'),
            );
        } catch (MalformedShape) {
            return null;
        }
    }

    /** @throws MalformedShape */
    private static function spot(mixed $form): Spot
    {
        [$sign, $block, $line, $from, $length, $text, $words] = array_pad(\is_array($form) ? array_values($form) : [], 7, null);

        return \is_string($sign)
            && \is_string($block)
            && \is_int($line)
            && \is_int($from)
            && \is_int($length)
            && \is_string($text)
            && \is_int($words)
            ? new Spot($sign, $block, $line, $from, $length, $text, $words)
            : throw MalformedShape::expected('a spot', 'spots');
    }

    /**
     * @param list<mixed> $form
     *
     * @throws MalformedShape
     */
    private static function spread(array $form): Spread
    {
        [$count, $sum, $squares] = array_pad($form, 3, null);

        return \is_int($count) && \is_int($sum) && \is_int($squares)
            ? new Spread($count, $sum, $squares)
            : throw MalformedShape::expected('three numbers', 'reading');
    }
}
