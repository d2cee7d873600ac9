<?php

declare(strict_types=1);

namespace Embrel\Writer\Html;

use Embrel\Archive\Built;
use Embrel\Document\PictureType;
use Embrel\Draft\Choices;
use Embrel\Draft\Printing;
use Embrel\Fonts\WebFonts;
use Embrel\Layout\Map\Arrangement;
use Embrel\Layout\Map\Look;
use Embrel\Layout\Map\Signs;
use Embrel\Layout\Map\Telling;
use Embrel\Numbering\Numbering;
use Embrel\Plan\Kind;
use Embrel\Plan\Plan;
use Embrel\Plan\Shown;
use Embrel\Plan\WordTotals;
use Embrel\Show\Deck;
use Embrel\Writer\Losses;
use Embrel\Writer\Writer;

/**
 * A plan, or a branch of it, as one page for anyone: outline with notes, map in all arrangements, and the show. It asks nobody
 * for anything: a policy in its head lets nothing in but what is in it (Content Security Policy 3).
 */
final class AloneWriter implements Writer
{
    private const FONTS = ['Hyperlegible' => 'atkinson-hyperlegible-next', 'Literata' => 'literata'];

    /** So many rows are set while they come; of more, all at once when they have come: to set them again and again takes seconds. */
    private const WHILE_THEY_COME = 500;
    private const COMING = 'document.documentElement.className="is-coming"';

    /** The policy of the page that was written last, for who sends it with one of its own. */
    public string $policy = '';

    /** @param bool $plays whether it opens as what is shown to an audience */
    public function __construct(private readonly ?WebFonts $fonts, private readonly bool $plays = false) {}

    public function write(Plan $plan, Choices $choices, $out, string $work): array
    {
        $whole = Shown::of($plan, false, $choices->draft->prints(Kind::Aside) !== Printing::Out);
        $numbering = Numbering::of($whole, $choices->scheme, $choices->numberDepth);
        // What is not shown to the audience is not in the file that it gets; the rest keeps its numbers.
        $without = $this->plays ? array_intersect($choices->show->without, \array_slice($whole->branch($choices->from), 1)) : [];
        $plan = $without === [] ? $whole : Shown::of($whole, asides: true, without: array_values($without));
        $losses = new Losses();
        $rows = new AloneRows($plan, $numbering, $choices, $losses);
        [$script, $style] = [Built::alone('alone.js'), Built::alone('alone.css')];
        $style = $this->fontFaces() . ($style ?? '');
        // Where a text ends that stands within an element, what looks like its end must not.
        $script = str_replace('</script', '<\/script', $script ?? '');
        $comesAtOnce = $script !== '' && \count($plan->branch($choices->from)) > self::WHILE_THEY_COME;
        $this->policy = self::policy($script, $style);
        $title = self::escaped($choices->from === Plan::ROOT ? $plan->title() : $plan->topic($choices->from)->title) ?: 'Untitled';
        fwrite(
            $out,
            "<!doctype html>\n<html lang=\"" . self::escaped($plan->properties->language) . '"><head><meta charset="utf-8">'
                . "<meta http-equiv=\"Content-Security-Policy\" content=\"{$this->policy}\">"
                . '<meta name="viewport" content="width=device-width, initial-scale=1"><meta name="color-scheme" content="light dark">'
                . '<meta name="generator" content="Embrel">'
                . ($plan->properties->author === '' ? '' : '<meta name="author" content="' . self::escaped($plan->properties->author) . '">')
                . "<title>{$title}</title><style>{$style}</style>"
                . ($comesAtOnce ? '<script>' . self::COMING . '</script>' : '')
                . "</head>\n<body>\n"
                . self::head($title, $plan, $choices),
        );
        $rows->write($out);
        $data = $this->data($plan, $numbering, Deck::of($whole, $choices, false), $choices, $rows);
        fwrite($out, self::end() . "<script type=\"application/json\" id=\"alone-data\">{$data}</script>\n");
        fwrite($out, "<script>{$script}</script>\n</body></html>\n");

        return [
            ...$losses->sentences(),
            ...$script === '' ? ['The script of the page is not built, so it shows the outline alone. Run: npm run build'] : [],
        ];
    }

    /** Nothing is fetched, sent or framed; what runs is known by its print. */
    private static function policy(string $script, string $style): string
    {
        $print = static fn(string $text): string => "'sha256-" . base64_encode(hash('sha256', $text, true)) . "'";

        return "default-src 'none'; script-src {$print($script)} {$print(self::COMING)}; style-src {$print($style)}; style-src-attr 'unsafe-inline'; "
            . "img-src data:; font-src data:; base-uri 'none'; form-action 'none'";
    }

    /** The part of Latin of both faces: they are what the map is measured in. */
    private function fontFaces(): string
    {
        $css = '';
        foreach (self::FONTS as $name => $family) {
            $bytes = $this->fonts?->file($family, false);
            $css .= $bytes === null
                ? ''
                : "@font-face{font-family:{$name};font-weight:200 900;src:url(data:font/woff2;base64," . base64_encode($bytes) . ')}';
        }

        return $css;
    }

    private static function head(string $title, Plan $plan, Choices $choices): string
    {
        $facts = $choices->from === Plan::ROOT ? array_filter([$plan->properties->subtitle, $plan->properties->author]) : [];

        return '<header class="alone-top"><div><p class="alone-title" dir="auto">' . $title . '</p>'
            . ($facts === [] ? '' : '<p class="alone-under" dir="auto">' . self::escaped(implode(' · ', $facts)) . '</p>')
            . '</div><div class="alone-tools" id="alone-tools" hidden>'
            . '<div role="group" aria-label="Views"><button type="button" data-view="outline" aria-pressed="true">Outline</button>'
            . '<button type="button" data-view="map" aria-pressed="false">Map</button>'
            . '<button type="button" data-view="show" aria-pressed="false">Show</button></div>'
            . '<input type="search" id="alone-find" aria-label="Find" placeholder="Find" autocomplete="off">'
            . '<span id="alone-found" role="status"></span>'
            . '<div role="group" aria-label="Fold to" class="alone-folds">'
            . implode('', array_map(static fn(int $level): string => "<button type=\"button\" data-level=\"{$level}\">{$level}</button>", [1, 2, 3]))
            . '<button type="button" data-level="0">all</button></div>'
            . '<button type="button" id="alone-notes" aria-pressed="false">Notes</button>'
            . '<button type="button" id="alone-dark" aria-pressed="false">Dark</button></div></header>'
            . '<main><section id="alone-outline" aria-label="Outline"><h1 class="visually-hidden">' . $title . '</h1>' . "\n";
    }

    private static function end(): string
    {
        $arrangements = ['spine' => 'Spine', 'both' => 'Both sides', 'round' => 'Round'];

        return '</section><section id="alone-map" aria-label="Map" hidden><div class="alone-bar"><div role="group" aria-label="Arrangement">'
            . implode('', array_map(
                static fn(string $value, string $name): string => "<button type=\"button\" data-arrangement=\"{$value}\" aria-pressed=\"false\">{$name}</button>",
                array_keys($arrangements),
                $arrangements,
            ))
            . '</div><div role="group" aria-label="Size"><button type="button" data-size="smaller" aria-label="Smaller">−</button>'
            . '<button type="button" data-size="larger" aria-label="Larger">+</button>'
            . '<button type="button" data-size="whole">Whole plan</button></div></div>'
            . '<svg class="ground" id="alone-ground" tabindex="0" role="group" aria-label="The map: arrows go from topic to topic, Enter shows a note"></svg>'
            . '<aside id="alone-note" aria-label="Note" hidden>'
            . '<button type="button" id="alone-close" aria-label="Close the note">×</button><div></div></aside></section>'
            . '<section id="alone-show" class="is-night" aria-label="Show" hidden>'
            . '<div class="present-stage" id="present-stage"><div class="shown" id="shown"></div></div>'
            . '<div class="present-bar"><button type="button" class="present-play" id="present-play" aria-pressed="false" aria-label="Play"><span></span></button>'
            . '<button type="button" data-go="back">Back</button><button type="button" data-go="on">On</button><span id="alone-at"></span>'
            . '<span class="space"></span><button type="button" data-go="full">The whole screen</button>'
            . '<button type="button" data-go="leave">Leave</button></div>'
            . '<p class="visually-hidden" id="present-says" role="status"></p></section></main>';
    }

    /** @param array<string, mixed> $deck */
    private function data(Plan $plan, Numbering $numbering, array $deck, Choices $choices, AloneRows $rows): string
    {
        $totals = WordTotals::of($plan);
        $maps = [];
        foreach (Arrangement::cases() as $arrangement) {
            $seen = $choices->map->look;
            $look = new Look($arrangement, $seen->style, $seen->wrap, own: $seen->own, ownId: $seen->ownId);
            $maps[$arrangement->value] = Telling::of($plan, $numbering, $totals, $look, [], $choices->from, [], $plan->relations);
        }

        return json_encode([
            'start' => $this->plays ? 'show' : 'outline',
            'maps' => $maps,
            'deck' => $deck,
            'pictures' => (object) $rows->pictures,
            'back' => $choices->map->back === null ? '' : 'data:' . PictureType::of($choices->map->back)->mediaType() . ';base64,'
                . base64_encode($choices->map->back),
            'signs' => ['note' => Signs::NOTE, 'flags' => Signs::FLAGS],
        ], JSON_HEX_TAG | JSON_HEX_AMP | JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES | JSON_THROW_ON_ERROR);
    }

    private static function escaped(string $text): string
    {
        return htmlspecialchars($text, ENT_QUOTES | ENT_HTML5 | ENT_SUBSTITUTE, 'UTF-8');
    }
}
