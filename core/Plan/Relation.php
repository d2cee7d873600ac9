<?php

declare(strict_types=1);

namespace Embrel\Plan;

use Embrel\Limits;
use Embrel\RichText\Text;

/** A line from one topic to another, beside the tree: it says what they have to do with each other and changes no order. */
final readonly class Relation
{
    /** How far a line can be bent, in pixels of the map. */
    private const FARTHEST = 20_000;

    /**
     * @param array{int, int}|null $bend
     *     how far the middle of the line was pulled aside by hand, in pixels of the map; null: it finds its
     *     own way
     */
    private function __construct(
        public string $id,
        public string $from,
        public string $to,
        public string $label,
        public ?Dye $dye,
        public Arrows $arrows,
        public ?array $bend,
    ) {}

    /**
     * @param array<array-key, mixed>|null $bend
     *
     * @throws InvalidValue when it leads to where it comes from, is called too long a name or bent too far
     */
    public static function of(
        string $id,
        string $from,
        string $to,
        string $label = '',
        ?Dye $dye = null,
        Arrows $arrows = Arrows::End,
        ?array $bend = null,
    ): self {
        if ($from === $to || Plan::isFixed($from) || Plan::isFixed($to)) {
            throw InvalidValue::field('relation', 'a topic and itself');
        }
        $label = Text::line($label);

        return new self(
            $id,
            $from,
            $to,
            mb_strlen($label) > Limits::RELATION_LABEL ? throw InvalidValue::field('label', $label) : $label,
            $dye,
            $arrows,
            $bend === null ? null : self::bend($bend),
        );
    }

    /**
     * @param array<array-key, mixed> $bend
     *
     * @return array{int, int}
     */
    private static function bend(array $bend): array
    {
        [$x, $y] = [$bend[0] ?? null, $bend[1] ?? null];

        return \is_int($x) && \is_int($y) && max(abs($x), abs($y)) <= self::FARTHEST
            ? [$x, $y]
            : throw InvalidValue::field('bend', (string) json_encode($bend));
    }

    /**
     * This relation with some of its looks changed.
     *
     * @param array<string, mixed> $set label, dye, arrows, bend; as stored
     *
     * @throws InvalidValue
     */
    public function with(array $set): self
    {
        $all = $set + $this->toArray();
        foreach (['label', 'arrows'] as $name) {
            \is_string($all[$name]) || throw InvalidValue::field($name, (string) json_encode($all[$name]));
        }
        $dye = $all['dye'];
        $bend = $all['bend'];
        if (($dye !== null && !\is_string($dye)) || ($bend !== null && !\is_array($bend))) {
            throw InvalidValue::field('relation', (string) json_encode($set));
        }

        return self::of(
            $this->id,
            $this->from,
            $this->to,
            (string) $all['label'],
            $dye === null ? null : Dye::of($dye),
            Arrows::tryFrom((string) $all['arrows']) ?? throw InvalidValue::field('arrows', (string) $all['arrows']),
            $bend,
        );
    }

    /** @return array{id: string, from: string, to: string, label: string, dye: string|null, arrows: string, bend: array{int, int}|null} */
    public function toArray(): array
    {
        return [
            'id' => $this->id,
            'from' => $this->from,
            'to' => $this->to,
            'label' => $this->label,
            'dye' => $this->dye?->value,
            'arrows' => $this->arrows->value,
            'bend' => $this->bend,
        ];
    }
}
