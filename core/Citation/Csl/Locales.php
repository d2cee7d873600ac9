<?php

declare(strict_types=1);

namespace Embrel\Citation\Csl;

/** The locales of the standard, and those that a style brings along. */
final class Locales
{
    /** A language alone → the dialect that stands for it (the table of the standard's own repository). */
    private const DIALECTS = [
        'af' => 'af-ZA', 'bg' => 'bg-BG', 'ca' => 'ca-AD', 'cs' => 'cs-CZ', 'cy' => 'cy-GB', 'da' => 'da-DK',
        'de' => 'de-DE', 'el' => 'el-GR', 'en' => 'en-US', 'es' => 'es-ES', 'et' => 'et-EE', 'fa' => 'fa-IR',
        'fi' => 'fi-FI', 'fr' => 'fr-FR', 'he' => 'he-IL', 'hr' => 'hr-HR', 'hu' => 'hu-HU', 'id' => 'id-ID',
        'is' => 'is-IS', 'it' => 'it-IT', 'ja' => 'ja-JP', 'km' => 'km-KH', 'ko' => 'ko-KR', 'lt' => 'lt-LT',
        'lv' => 'lv-LV', 'mn' => 'mn-MN', 'nb' => 'nb-NO', 'nl' => 'nl-NL', 'nn' => 'nn-NO', 'pl' => 'pl-PL',
        'pt' => 'pt-PT', 'ro' => 'ro-RO', 'ru' => 'ru-RU', 'sk' => 'sk-SK', 'sl' => 'sl-SI', 'sr' => 'sr-RS',
        'sv' => 'sv-SE', 'th' => 'th-TH', 'tr' => 'tr-TR', 'uk' => 'uk-UA', 'vi' => 'vi-VN', 'zh' => 'zh-CN',
    ];

    /** @var array<string, \DOMElement|null> */
    private array $files = [];

    /** @param \Closure(string): ?string $file the XML of a locale by its tag, such as de-DE; null where there is none */
    public function __construct(private readonly \Closure $file) {}

    /** @param list<\DOMElement> $own locales of a style */
    public function of(string $language, array $own): Locale
    {
        $locale = new Locale($language);
        $base = strtolower(substr($language, 0, strcspn($language, '-')));
        $chain = ['en-US', self::DIALECTS[$base] ?? $base, $language];
        foreach (array_unique($chain) as $name) {
            $file = $this->file($name);
            if ($file !== null) {
                $locale->lay($file);
            }
        }
        foreach (array_unique(['', $base, self::DIALECTS[$base] ?? $base, $language]) as $wanted) {
            foreach ($own as $element) {
                $has = $element->getAttribute('xml:lang');
                if ($has === $wanted) {
                    $locale->lay($element);
                }
            }
        }

        return $locale;
    }

    private function file(string $name): ?\DOMElement
    {
        if (!\array_key_exists($name, $this->files)) {
            $xml = preg_match('/\A[A-Za-z]{2,3}(?:-[A-Za-z]{2,4})?\z/', $name) === 1 ? ($this->file)($name) : null;
            $this->files[$name] = $xml === null ? null : StyleReader::root($xml, 'locale');
        }

        return $this->files[$name];
    }
}
