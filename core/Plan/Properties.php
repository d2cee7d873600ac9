<?php

declare(strict_types=1);

namespace Embrel\Plan;

use Embrel\Citation\CitationStyle;
use Embrel\Citation\KeptStyles;
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
        'number_forms' => [],
        'citation_style' => 'apa',
        'labels' => [],
        'rules_off' => [],
        'set_aside' => [],
        'terms' => [],
    ];
    /** Before the name of a label, as a thing that changes by itself. */
    private const LABEL = 'label ';
    private const RULE_OFF = 'rule ';
    private const SET_ASIDE = 'aside ';
    private const TERM = 'term ';
    private const TEXT_LENGTH = 300;

    /**
     * @param string      $language a language tag such as en or de-AT
     * @param string      $pageSize a4 or letter
     * @param string|null $due      a calendar date, YYYY-MM-DD
     * @param int         $depth    how many levels carry a number, 1 to 9
     * @param array<array-key, Dye> $labels name → dye, in the order of the alphabet
     * @param bool        $runOn    whether the second level counts on across the first (chapters across parts)
     * @param list<string>          $rulesOff codes of the rules of Check that are switched off; one that there is no more is kept
     * @param list<string>          $numberForms for Scheme::Own: how each level from the first is written, as NumberForm takes it
     * @param array<string, string> $setAside key of a finding that is set aside → why, which may be empty
     * @param array<array-key, string> $terms chosen for the glossary and the index → what each means, which may be empty
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
        public CitationStyle $citationStyle = new CitationStyle(),
        public array $labels = [],
        public array $rulesOff = [],
        public array $setAside = [],
        public array $numberForms = [],
        public array $terms = [],
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
            $this->citationStyle->another($all->string('citation_style'))
                ?? throw InvalidValue::field('citation_style', $all->string('citation_style')),
            self::labels($all->list('labels')),
            Checking::rules($all->list('rules_off')),
            Checking::setAside($all->list('set_aside')),
            self::numberForms($all->list('number_forms')),
            Glossary::terms($all->list('terms')),
        );
    }

    /** The same, where styles that people brought are found. */
    public function stylesIn(KeptStyles $kept): self
    {
        $style = $this->citationStyle->keptIn($kept);

        return new self(...['citationStyle' => $style] + get_object_vars($this)); // @phpstan-ignore argument.type (as they were)
    }

    /** @return array<string, string|int|bool|list<string|array{string, string}>|null> */
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
            'number_forms' => $this->numberForms,
            'citation_style' => $this->citationStyle->key,
            'labels' => array_map(
                static fn(int|string $name, Dye $dye): array => [(string) $name, $dye->value],
                array_keys($this->labels),
                $this->labels,
            ),
            'rules_off' => $this->rulesOff,
            'set_aside' => array_map(
                static fn(string $finding, string $why): array => [$finding, $why],
                array_keys($this->setAside),
                $this->setAside,
            ),
            'terms' => array_map(
                static fn(int|string $words, string $says): array => [(string) $words, $says],
                array_keys($this->terms),
                $this->terms,
            ),
        ];
    }

    /**
     * Each that can change by itself, a label or a finding that is set aside like any other: name → value as it is stored.
     *
     * @return array<string, mixed>
     */
    public function things(): array
    {
        $things = $this->toArray();
        unset($things['labels'], $things['rules_off'], $things['set_aside'], $things['terms']);
        foreach ($this->labels as $name => $dye) {
            $things[self::LABEL . Label::key((string) $name)] = [(string) $name, $dye->value];
        }
        foreach ($this->rulesOff as $rule) {
            $things[self::RULE_OFF . $rule] = $rule;
        }
        foreach ($this->setAside as $finding => $why) {
            $things[self::SET_ASIDE . $finding] = [$finding, $why];
        }
        foreach ($this->terms as $words => $says) {
            $things[self::TERM . Glossary::key((string) $words)] = [(string) $words, $says];
        }

        return $things;
    }

    /**
     * These with some of their things changed; of what is in a list, to null goes.
     *
     * @param array<string, mixed> $changes
     *
     * @throws InvalidValue|\Embrel\MalformedShape
     */
    public function withThings(array $changes): self
    {
        if ($changes === []) {
            return $this;
        }
        $lists = ['labels' => [], 'rules_off' => [], 'set_aside' => [], 'terms' => []];
        $all = $this->things();
        foreach ($all + $changes as $thing => $_) {
            $list = self::listOf($thing);
            if ($list !== null) {
                $lists[$list][] = \array_key_exists($thing, $changes) ? $changes[$thing] : $all[$thing];
                unset($changes[$thing]);
            }
        }

        return $this->with($changes + array_map(static fn(array $list): array => array_values(array_filter($list)), $lists));
    }

    private static function listOf(string $thing): ?string
    {
        return match (true) {
            str_starts_with($thing, self::LABEL) => 'labels',
            str_starts_with($thing, self::RULE_OFF) => 'rules_off',
            str_starts_with($thing, self::SET_ASIDE) => 'set_aside',
            str_starts_with($thing, self::TERM) => 'terms',
            default => null,
        };
    }

    /**
     * @param array<array-key, Dye> $labels name → dye
     *
     * @throws InvalidValue
     */
    public function withLabels(array $labels): self
    {
        return $this->with([
            'labels' => array_map(
                static fn(int|string $name, Dye $dye): array => [(string) $name, $dye->value],
                array_keys($labels),
                $labels,
            ),
        ]);
    }

    /**
     * @param list<mixed> $given each a name and a dye
     *
     * @return array<array-key, Dye>
     *
     * @throws InvalidValue
     */
    private static function labels(array $given): array
    {
        $dyes = $names = [];
        foreach ($given as $one) {
            [$name, $dye] = \is_array($one) && \count($one) === 2 ? array_values($one) : ['', ''];
            $name = Label::name(\is_string($name) && mb_check_encoding($name, 'UTF-8') ? $name : '');
            $names[Label::key($name)] ??= $name;
            $dyes[$names[Label::key($name)]] = Dye::of(\is_string($dye) ? $dye : '');
        }
        if (\count($names) > Label::MOST_IN_PLAN) {
            throw new InvalidValue('A plan has at most ' . Label::MOST_IN_PLAN . ' labels.');
        }
        $labels = [];
        foreach (Label::sorted(array_values($names)) as $name) {
            $labels[$name] = $dyes[$name];
        }

        return $labels;
    }

    /**
     * @param list<mixed> $given
     *
     * @return list<string>
     *
     * @throws InvalidValue
     */
    private static function numberForms(array $given): array
    {
        $forms = [];
        foreach (\array_slice($given, 0, 9) as $i => $form) {
            $form = \is_string($form) && mb_check_encoding($form, 'UTF-8') ? $form : throw InvalidValue::field('number_forms', 'form');
            NumberForm::of($form, $i + 1);
            $forms[] = \Embrel\RichText\Text::line($form);
        }

        return $forms;
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
        try {
            return Day::of($value);
        } catch (InvalidValue) {
            throw InvalidValue::field('due', $value);
        }
    }

    private static function depth(int $depth): int
    {
        return $depth >= 1 && $depth <= 9 ? $depth : throw InvalidValue::field('numbering_depth', (string) $depth);
    }
}
