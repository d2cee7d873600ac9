<?php

declare(strict_types=1);

namespace Embrel;

/** Reads values out of decoded JSON, which is hostile until each has been checked. */
final class Shape
{
    /** @param array<array-key, mixed> $values */
    public function __construct(private readonly array $values, private readonly string $where) {}

    /** @throws MalformedShape unless the value is an object */
    public static function of(mixed $value, string $where): self
    {
        return \is_array($value) ? new self($value, $where) : throw MalformedShape::expected('an object', $where);
    }

    public function has(string $key): bool
    {
        return isset($this->values[$key]);
    }

    public function raw(string $key): mixed
    {
        return $this->values[$key] ?? null;
    }

    /** Text in UTF-8. */
    public function string(string $key): string
    {
        $value = $this->raw($key);
        if (!\is_string($value) || !mb_check_encoding($value, 'UTF-8')) {
            throw MalformedShape::expected('text', "{$this->where}.{$key}");
        }

        return $value;
    }

    public function stringOr(string $key, ?string $default): ?string
    {
        return $this->has($key) ? $this->string($key) : $default;
    }

    public function int(string $key): int
    {
        $value = $this->raw($key);

        return \is_int($value) ? $value : throw MalformedShape::expected('a whole number', "{$this->where}.{$key}");
    }

    public function intOr(string $key, ?int $default): ?int
    {
        return $this->has($key) ? $this->int($key) : $default;
    }

    /** A number within limits. */
    public function number(string $key, float $least, float $most): float
    {
        return $this->within($this->raw($key), $key, $least, $most);
    }

    /** @return list<float> so many numbers within limits */
    public function numbers(string $key, int $count, float $least, float $most): array
    {
        return array_map(fn(mixed $one): float => $this->within($one, $key, $least, $most), $this->several($key, $count));
    }

    private function within(mixed $value, string $key, float $least, float $most): float
    {
        return (\is_int($value) || \is_float($value)) && $value >= $least && $value <= $most
            ? (float) $value
            : throw MalformedShape::expected("a number from {$least} to {$most}", "{$this->where}.{$key}");
    }

    /** @return list<mixed> so many */
    public function several(string $key, int $count): array
    {
        $list = $this->list($key);

        return \count($list) === $count ? $list : throw MalformedShape::expected("{$count} of them", "{$this->where}.{$key}");
    }

    public function bool(string $key): bool
    {
        $value = $this->raw($key);

        return \is_bool($value) ? $value : throw MalformedShape::expected('true or false', "{$this->where}.{$key}");
    }

    public function id(string $key): string
    {
        $value = $this->string($key);

        return Id\Ulid::isValid($value) ? $value : throw MalformedShape::expected('an id', "{$this->where}.{$key}");
    }

    public function idOr(string $key, ?string $default): ?string
    {
        return $this->has($key) ? $this->id($key) : $default;
    }

    /** @return list<mixed> */
    public function list(string $key): array
    {
        $value = $this->raw($key);

        return \is_array($value) && array_is_list($value) ? $value : throw MalformedShape::expected('a list', "{$this->where}.{$key}");
    }

    /** @return list<string> */
    public function ids(string $key): array
    {
        $ids = [];
        foreach ($this->list($key) as $value) {
            $ids[]
                = \is_string($value) && Id\Ulid::isValid($value)
                    ? $value
                    : throw MalformedShape::expected('a list of ids', "{$this->where}.{$key}");
        }

        return $ids;
    }

    /** @return list<self> */
    public function objects(string $key): array
    {
        return array_map(fn(mixed $value): self => self::of($value, "{$this->where}.{$key}"), $this->list($key));
    }

    public function object(string $key): self
    {
        return self::of($this->raw($key), "{$this->where}.{$key}");
    }

    /** @return array<array-key, mixed> */
    public function values(): array
    {
        return $this->values;
    }
}
