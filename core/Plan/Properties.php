<?php

declare(strict_types=1);

namespace Embrel\Plan;

use Embrel\Citation\CitationStyle;
use Embrel\Shape;

/** What is set once for a whole plan; its title is the title of the root topic. */
final readonly class Properties
{
    public const DEFAULTS = [
        'subtitle' => '',
        'author' => '',
        'form' => 'report',
        'subject' => '',
        'language' => 'en',
        'page_size' => 'a4',
        'target' => null,
        'due' => null,
        'numbering' => 'decimal',
        'numbering_depth' => 3,
        'run_on' => false,
        'citation_style' => 'apa',
    ];
    private const TEXT_LENGTH = 300;

    /**
     * @param string      $language a language tag such as en or de-AT
     * @param string      $pageSize a4 or letter
     * @param string|null $due      a calendar date, YYYY-MM-DD
     * @param int         $depth    how many levels carry a number, 1 to 9
     * @param bool        $runOn    whether the second level counts on across the first (chapters across parts)
     */
    public function __construct(
        public string $subtitle = '',
        public string $author = '',
        public Form $form = Form::Report,
        public string $subject = '',
        public string $language = 'en',
        public string $pageSize = 'a4',
        public ?Target $target = null,
        public ?string $due = null,
        public Scheme $scheme = Scheme::Decimal,
        public int $depth = 3,
        public bool $runOn = false,
        public CitationStyle $citationStyle = CitationStyle::Apa,
    ) {}

    /**
     * These with some of them changed.
     *
     * @param array<array-key, mixed> $changes any of the keys of DEFAULTS
     *
     * @throws InvalidValue|\Embrel\MalformedShape when a value does not fit
     */
    public function with(array $changes): self
    {
        $unknown = array_diff_key($changes, self::DEFAULTS);
        if ($unknown !== []) {
            throw InvalidValue::field((string) array_key_first($unknown), 'set');
        }
        $all = new Shape($changes + $this->toArray(), 'plan');

        return new self(
            self::text($all, 'subtitle'),
            self::text($all, 'author'),
            Form::tryFrom($all->string('form')) ?? throw InvalidValue::field('form', $all->string('form')),
            self::text($all, 'subject'),
            self::matching('/\A[a-z]{2,3}(?:-[A-Za-z0-9]{2,8})*\z/', $all->string('language'), 'language'),
            self::matching('/\A(?:a4|letter)\z/', $all->string('page_size'), 'page_size'),
            $all->has('target') ? Target::of($all->int('target')) : null,
            $all->has('due') ? self::date($all->string('due')) : null,
            Scheme::tryFrom($all->string('numbering')) ?? throw InvalidValue::field('numbering', $all->string('numbering')),
            self::depth($all->int('numbering_depth')),
            $all->bool('run_on'),
            CitationStyle::tryFrom($all->string('citation_style'))
                ?? throw InvalidValue::field('citation_style', $all->string('citation_style')),
        );
    }

    /** @return array<string, string|int|bool|null> */
    public function toArray(): array
    {
        return [
            'subtitle' => $this->subtitle,
            'author' => $this->author,
            'form' => $this->form->value,
            'subject' => $this->subject,
            'language' => $this->language,
            'page_size' => $this->pageSize,
            'target' => $this->target?->words,
            'due' => $this->due,
            'numbering' => $this->scheme->value,
            'numbering_depth' => $this->depth,
            'run_on' => $this->runOn,
            'citation_style' => $this->citationStyle->value,
        ];
    }

    private static function text(Shape $all, string $key): string
    {
        $text = \Embrel\RichText\Text::line($all->string($key));

        return mb_strlen($text) <= self::TEXT_LENGTH ? $text : throw InvalidValue::field($key, $text);
    }

    private static function matching(string $form, string $value, string $field): string
    {
        return preg_match($form, $value) === 1 ? $value : throw InvalidValue::field($field, $value);
    }

    private static function date(string $value): string
    {
        $parts = preg_match('/\A(\d{4})-(\d\d)-(\d\d)\z/', $value, $m) === 1 ? $m : null;

        return $parts !== null && checkdate((int) $parts[2], (int) $parts[3], (int) $parts[1])
            ? $value
            : throw InvalidValue::field('due', $value);
    }

    private static function depth(int $depth): int
    {
        return $depth >= 1 && $depth <= 9 ? $depth : throw InvalidValue::field('numbering_depth', (string) $depth);
    }
}
