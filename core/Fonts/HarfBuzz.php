<?php

declare(strict_types=1);

namespace Embrel\Fonts;

/** Shapes by HarfBuzz (hb-shape, hb-subset) and orders by FriBidi: a process for all runs, one for all paragraphs, one for all fonts. */
final readonly class HarfBuzz implements Shaper
{
    private const FOLDERS = ['/usr/bin', '/usr/local/bin', '/opt/homebrew/bin'];
    /** FriBidi reads lines of no more bytes than 65,000. */
    private const LINE = 12_000;

    /** @param array<string, string> $programs name → path */
    private function __construct(private array $programs) {}

    /**
     * @param list<string> $folders where programs are
     *
     * @return self|null null where one of them is missing
     */
    public static function ofMachine(array $folders = self::FOLDERS): ?self
    {
        $programs = [];
        foreach (['hb-shape', 'hb-subset', 'fribidi'] as $name) {
            foreach ($folders as $folder) {
                if (is_executable("{$folder}/{$name}")) {
                    $programs[$name] ??= "{$folder}/{$name}";
                }
            }
        }

        return \count($programs) === 3 ? new self($programs) : null;
    }

    public function shape(array $runs, string $language): array
    {
        // A font is read once while it stays the same.
        $order = array_keys($runs);
        usort($order, static fn(int $a, int $b): int => [$runs[$a]['name'], $a] <=> [$runs[$b]['name'], $b]);
        $tag = preg_match('/\A[A-Za-z]{2,3}(-[A-Za-z0-9]+)*\z/', $language) === 1 ? ";--language={$language}" : '';
        $asked = '';
        foreach ($order as $i) {
            ['font' => $font, 'text' => $text, 'isRightToLeft' => $isRightToLeft] = $runs[$i];
            $signs = implode(',', array_map(static fn(string $sign): string => \sprintf('U+%04X', mb_ord($sign)), mb_str_split($text)));
            $asked .= "{$font->path};--face-index={$font->index};--font-size=1000;--no-glyph-names;--utf8-clusters{$tag}"
                . ($isRightToLeft ? ';--direction=rtl' : ';--direction=ltr') . ";--unicodes={$signs}\n";
        }
        $lines = explode("\n", $this->run('hb-shape', ['--batch'], $asked));
        $shaped = [];
        foreach ($order as $k => $i) {
            ['name' => $name, 'text' => $text, 'isRightToLeft' => $isRightToLeft] = $runs[$i];
            $shaped[$i] = new Glyphs($name, $text, self::glyphs($lines[$k] ?? ''), $isRightToLeft);
        }
        ksort($shaped);

        return array_values($shaped);
    }

    /**
     * @param string $line such as [87=0+648|267=0@-30,12+0]
     *
     * @return list<array{int, int, float, float, float}>
     */
    private static function glyphs(string $line): array
    {
        preg_match_all('/(\d+)=(\d+)(?:@(-?\d+),(-?\d+))?\+(-?\d+)/', $line, $m, PREG_SET_ORDER);

        return array_map(
            static fn(array $n): array => [(int) $n[1], (int) $n[2], (int) $n[5] / 1000.0, (int) $n[3] / 1000.0, (int) $n[4] / 1000.0],
            $m,
        );
    }

    public function levels(array $paragraphs): array
    {
        $parts = array_map(static fn(string $paragraph): array => mb_str_split($paragraph, self::LINE), $paragraphs);
        $asked = implode("\n", array_merge([], ...$parts)) . "\n";
        $lines = explode("\n", $this->run('fribidi', ['--levels', '--basedir', '--novisual', '--nopad', '--nobreak'], $asked));
        $levels = [];
        $at = 0;
        foreach ($parts as $of) {
            $these = [];
            foreach ($of as $k => $_) {
                // Of a long paragraph the first part says how it is read.
                array_push($these, ...$k === 0 ? [str_ends_with($lines[$at] ?? '', 'R') ? 1 : 0] : []);
                array_push($these, ...array_map(intval(...), explode(' ', trim($lines[$at + 1] ?? ''))));
                $at += 2;
            }
            $levels[] = $these;
        }

        return $levels;
    }

    public function cut(array $fonts): array
    {
        $out = [];
        $asked = '';
        foreach ($fonts as ['font' => $font, 'glyphs' => $glyphs]) {
            $out[] = $file = tmpfile() ?: throw new \RuntimeException('There is no room for a font.');
            $path = stream_get_meta_data($file)['uri'] ?? '';
            $asked .= "{$font->path};--face-index={$font->index};--retain-gids;--layout-features=;--gids=" . implode(',', $glyphs)
                . ";--output-file={$path}\n";
        }
        $this->run('hb-subset', ['--batch'], $asked);

        return array_map(static fn($file): string => (string) file_get_contents(stream_get_meta_data($file)['uri'] ?? ''), $out);
    }

    /** @param list<string> $options */
    private function run(string $program, array $options, string $asked): string
    {
        // Files rather than pipes: neither waits until the other has read.
        [$in, $out] = [tmpfile(), tmpfile()];
        $in !== false && $out !== false || throw new \RuntimeException('There is no room for what is to be shaped.');
        fwrite($in, $asked);
        rewind($in);
        $streams = [$in, $out, ['file', '/dev/null', 'w']];
        $process = proc_open([$this->programs[$program], ...$options], $streams, $pipes, '/', ['LC_ALL' => 'C.UTF-8']);
        $process !== false && proc_close($process) === 0 || throw new \RuntimeException("{$program} did not do its work.");
        rewind($out);

        return (string) stream_get_contents($out);
    }
}
