<?php

declare(strict_types=1);

namespace Embrel\Layout\Map;

use Embrel\MalformedShape;
use Embrel\Plan\Dye;
use Embrel\Plan\InvalidValue;
use Embrel\RichText\Text;
use Embrel\Shape;

/**
 * All that a style of the map says: what one of ours is, or one that a person has made of it. Lists are by level: the first,
 * the second, and all below.
 */
final readonly class Dress
{
    /** The first, the second, and all below. */
    public const LEVELS = 3;
    public const NAME = 60;
    public const LINE = [0.5, 8.0];
    public const SIZE = [9.0, 48.0];
    public const ROOM = [0.3, 2.5];

    /**
     * @param list<float> $lines   widths of the stalks, in pixels
     * @param list<float> $sizes   of type, in pixels
     * @param float                         $room    by what the room between topics is multiplied
     * @param bool                          $tints   whether each main section stands on a tint of its dye
     * @param list<Form> $forms   what stands around titles
     * @param list<string> $dyes    in what topics are drawn: a dye or colour; '' in that which they have
     * @param string                        $ground  a colour; '' as the page has it
     * @param string                        $picture on the ground: SHA-256 of its bytes; '' for none
     */
    public function __construct(
        public string $name,
        public Stalk $stalk = Stalk::Curved,
        public array $lines = [2.2, 2.2, 1.6],
        public array $sizes = [16.0, 15.0, 14.5],
        public float $room = 1.0,
        public bool $tints = false,
        public array $forms = [Form::Plain, Form::Plain, Form::Plain],
        public array $dyes = ['', '', ''],
        public Lettering $lettering = Lettering::Sans,
        public string $ground = '',
        public Paper $paper = Paper::Plain,
        public string $picture = '',
    ) {}

    /**
     * @param array<array-key, mixed> $given as toArray has it; what is missing is as usual
     *
     * @throws MalformedShape where it is no style
     */
    public static function of(array $given): self
    {
        $usual = (new self(''))->toArray();
        $unknown = array_diff_key($given, $usual);
        if ($unknown !== []) {
            throw MalformedShape::expected('a setting of a style of the map', 'style.' . array_key_first($unknown));
        }
        $all = new Shape($given + $usual, 'style');
        $ground = self::dye($all->string('ground'), 'ground');
        $picture = $all->string('picture');

        return new self(
            mb_substr(trim(Text::line($all->string('name'))), 0, self::NAME),
            Stalk::tryFrom($all->string('stalk')) ?? throw MalformedShape::expected('a form of lines', 'style.stalk'),
            $all->numbers('lines', self::LEVELS, ...self::LINE),
            $all->numbers('sizes', self::LEVELS, ...self::SIZE),
            $all->number('room', ...self::ROOM),
            $all->bool('tints'),
            array_map(self::formed(...), $all->several('forms', self::LEVELS)),
            array_map(static fn(mixed $one): string => self::dye($one, 'dyes'), $all->several('dyes', self::LEVELS)),
            Lettering::tryFrom($all->string('lettering')) ?? throw MalformedShape::expected('a lettering', 'style.lettering'),
            $ground === '' || $ground[0] === '#' ? $ground : throw MalformedShape::expected('a colour', 'style.ground'),
            Paper::tryFrom($all->string('paper')) ?? throw MalformedShape::expected('a paper', 'style.paper'),
            preg_match('/\A(?:[0-9a-f]{64})?\z/', $picture) === 1 ? $picture : throw MalformedShape::expected('a picture', 'style.picture'),
        );
    }

    private static function formed(mixed $value): Form
    {
        return Form::tryFrom(\is_string($value) ? $value : '') ?? throw MalformedShape::expected('a form of topics', 'style.forms');
    }

    private static function dye(mixed $value, string $key): string
    {
        try {
            return $value === '' ? '' : Dye::of(\is_string($value) ? $value : '~')->value;
        } catch (InvalidValue) {
            throw MalformedShape::expected('a dye or a colour', "style.{$key}");
        }
    }

    /** @return array<string, mixed> what of() takes */
    public function toArray(): array
    {
        return [
            'name' => $this->name,
            'stalk' => $this->stalk->value,
            'lines' => $this->lines,
            'sizes' => $this->sizes,
            'room' => $this->room,
            'tints' => $this->tints,
            'forms' => array_map(static fn(Form $form): string => $form->value, $this->forms),
            'dyes' => $this->dyes,
            'lettering' => $this->lettering->value,
            'ground' => $this->ground,
            'paper' => $this->paper->value,
            'picture' => $this->picture,
        ];
    }

    private static function at(int $level): int
    {
        return min($level, self::LEVELS) - 1;
    }

    /** @return float the width of a stalk to a topic of a level, in pixels */
    public function line(int $level): float
    {
        return $this->lines[self::at($level)];
    }

    /** @return float the size of type at a level, in pixels */
    public function size(int $level): float
    {
        return $this->sizes[self::at($level)];
    }

    public function form(int $level): Form
    {
        return $this->forms[self::at($level)];
    }

    /** In what a topic of a level is drawn that has a dye, or has taken it over. */
    public function dyed(int $level, string $dye): string
    {
        return $this->dyes[self::at($level)] ?: $dye;
    }

    public function inks(): Inks
    {
        return new Inks($this->ground);
    }
}
