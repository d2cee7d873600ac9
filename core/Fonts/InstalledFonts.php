<?php

declare(strict_types=1);

namespace Embrel\Fonts;

/** The Noto fonts that the machine has, of which there is one for nearly every script. */
final class InstalledFonts
{
    private const FOLDERS = ['/usr/share/fonts/truetype/noto', '/usr/share/fonts/opentype/noto', '/usr/share/fonts/google-noto'];
    /** Scripts that one font holds together. */
    private const SHARED = ['latin' => '', 'greek' => '', 'cyrillic' => '']
        + ['han' => 'cjk', 'hiragana' => 'cjk', 'katakana' => 'cjk', 'hangul' => 'cjk', 'bopomofo' => 'cjk'];
    /** In the order in which the collections of CJK fonts hold them. */
    private const REGIONS = ['ja' => 0, 'ko' => 1, 'zh' => 2, 'zh-hant' => 3, 'zh-tw' => 3, 'zh-hk' => 4];
    /** For signs of no script. */
    private const SIGNS = ['notosans', 'notosanssymbols', 'notosanssymbols2', 'notosansmath', 'notosanscjk'];

    /** @var array<string, string>|null name in small letters → path */
    private ?array $paths = null;
    /** @var array<string, InstalledFont|null> */
    private array $fonts = [];
    /** @var array<string, list<string>> */
    private array $known = [];

    /** @param list<string> $folders */
    public function __construct(private readonly array $folders = self::FOLDERS) {}

    /**
     * @param string $script as Unicode names it, such as Devanagari
     * @param string $face   such as serif-bold
     *
     * @return list<string> the names of the fonts that may draw it, the most fitting first
     */
    public function names(string $script, string $face, string $language): array
    {
        return $this->known["{$script} {$face}"] ??= $this->among($script, $face, $language);
    }

    /** @return list<string> */
    private function among(string $script, string $face, string $language): array
    {
        $script = str_replace('_', '', strtolower($script));
        $kinds = preg_match('/^(serif|title)/', $face) === 1 ? ['serif', 'naskh', 'sans'] : ['sans', 'serif', 'naskh'];
        $weights = preg_match('/bold|strong|title/', $face) === 1 ? ['bold', 'regular'] : ['regular'];
        $stems = match ($script) {
            'common', 'inherited', 'unknown' => self::SIGNS,
            default => array_map(static fn(string $kind): string => "noto{$kind}" . (self::SHARED[$script] ?? $script), $kinds),
        };
        $region = match ($script) {
            'hiragana', 'katakana' => 0,
            'hangul' => 1,
            default => self::REGIONS[strtolower($language)] ?? self::REGIONS[strtolower(substr($language, 0, 2))] ?? 2,
        };
        $names = [];
        foreach ($stems as $stem) {
            foreach ($weights as $weight) {
                $name = str_ends_with($stem, 'cjk') ? "{$stem}-{$weight}.{$region}" : "{$stem}-{$weight}";
                array_push($names, ...$this->font($name) === null ? [] : [$name]);
            }
        }

        return $names;
    }

    /** @return InstalledFont|null null where there is none of that name */
    public function font(string $name): ?InstalledFont
    {
        if (!\array_key_exists($name, $this->fonts)) {
            [$stem, $index] = [...explode('.', $name), 0];
            $path = $this->paths()[$stem] ?? null;
            try {
                $this->fonts[$name] = $path === null ? null : new InstalledFont($path, (int) $index);
            } catch (\RuntimeException) {
                $this->fonts[$name] = null;
            }
        }

        return $this->fonts[$name];
    }

    /** @return array<string, string> */
    private function paths(): array
    {
        if ($this->paths === null) {
            $this->paths = [];
            foreach ($this->folders as $folder) {
                foreach ((is_dir($folder) ? scandir($folder) : false) ?: [] as $file) {
                    if (preg_match('/\A(Noto[A-Za-z0-9]+-(?:Regular|Bold))\.(?:ttf|otf|ttc)\z/', $file, $m) === 1) {
                        $this->paths[strtolower($m[1])] ??= "{$folder}/{$file}";
                    }
                }
            }
            foreach (['serif', 'serif-bold', 'sans', 'sans-bold', 'mono', 'title', 'strong', 'regular'] as $face) {
                $path = Shipped::path("{$face}-latin");
                $path === null ? null : $this->paths["embrel-{$face}"] = $path;
            }
        }

        return $this->paths;
    }
}
