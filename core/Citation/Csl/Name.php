<?php

declare(strict_types=1);

namespace Embrel\Citation\Csl;

/** A person or body, in the parts that the standard tells apart. */
final readonly class Name
{
    /** Whether it is written without a space between its parts, as 王小明 is. */
    public bool $isUnspaced;

    public function __construct(
        public string $family = '',
        public string $given = '',
        public string $dropping = '',
        public string $nonDropping = '',
        public string $suffix = '',
        public bool $commaSuffix = false,
        public string $literal = '',
        public bool $isStatic = false,
    ) {
        $whole = $family . $given;
        $this->isUnspaced = !mb_check_encoding($whole, 'ASCII')
            && preg_match('/[\p{Han}\p{Hiragana}\p{Katakana}\p{Hangul}\p{Thai}]/u', $whole) === 1;
    }

    /** @param array<array-key, mixed> $name as CSL-JSON has it */
    public static function of(array $name): self
    {
        $text = static fn(string $key): string => \is_scalar($name[$key] ?? null) ? Rich::clean((string) $name[$key]) : '';

        [$family, $given, $dropping, $nonDropping] = array_map($text, ['family', 'given', 'dropping-particle', 'non-dropping-particle']);
        // Particles that stand within the names are told by their small letters.
        if ($nonDropping === '' && $dropping === '') {
            if (preg_match('/\A((?:\p{Ll}+(?:\s+|[\'’-]))+)(\p{Lu}.*)\z/u', $family, $m) === 1) {
                [$nonDropping, $family] = [trim($m[1]), $m[2]];
            }
            if (preg_match('/\A(.*\S)\s+(\p{Ll}[\p{Ll}\'’ -]*)\z/u', $given, $m) === 1 && $family !== '') {
                [$given, $dropping] = [$m[1], $m[2]];
            }
        }

        return new self(
            $family,
            $given,
            $dropping,
            $nonDropping,
            $text('suffix'),
            ($name['comma-suffix'] ?? false) === true,
            $text('literal'),
            ($name['static-ordering'] ?? false) === true,
        );
    }
}
