<?php

declare(strict_types=1);

namespace Embrel\Prompt;

use Embrel\Plan\Kind;
use Embrel\Plan\Plan;

/** What part a topic plays in the text, as far as its place, its kind and its title tell. */
enum Stand: string
{
    case Opening = 'opening';
    case Claim = 'claim';
    case Reason = 'reason';
    case Evidence = 'evidence';
    case Objection = 'objection';
    case Turn = 'turn';
    case End = 'end';
    case Quotation = 'quotation';

    /** Words of titles that say so themselves, English and German. */
    private const SAID = [
        ['opening', '/\b(?:introduction|preface|background|einleitung|einführung|vorwort|hintergrund)\b/iu'],
        ['end', '/\b(?:conclusions?|summary|outlook|recommendations?|afterword|schluss|fazit|zusammenfassung|ausblick|empfehlung(?:en)?)\b/iu'],
        ['objection', '/\b(?:objections?|criticism|against|limits|risks?|doubts?|einwand|einwände|kritik|gegen|grenzen|risik(?:o|en)|zweifel)\b/iu'],
        ['turn', '/\b(?:but|however|turning|yet|aber|doch|wende|jedoch)\b/iu'],
        ['evidence', '/\b(?:examples?|evidence|data|results?|findings|case|beispiele?|belege?|daten|ergebnisse?|befunde?|fall)\b/iu'],
        ['reason', '/\b(?:why|because|reasons?|causes?|warum|weil|gründe?|grund|ursachen?)\b/iu'],
    ];

    public static function of(Plan $plan, string $id): self
    {
        if ($id === Plan::ROOT || $plan->home($id) !== Plan::ROOT) {
            return $id === Plan::ROOT ? self::Opening : self::Claim;
        }
        $topic = $plan->topic($id);
        if ($topic->kind === Kind::Quote) {
            return self::Quotation;
        }
        foreach (self::SAID as [$stand, $form]) {
            if (preg_match($form, $topic->title) === 1) {
                return self::from($stand);
            }
        }
        $parent = (string) $plan->parent($id);
        if ($parent === Plan::ROOT) {
            $sections = $plan->parts(Plan::ROOT);

            return match (true) {
                \count($sections) > 2 && $sections[0] === $id => self::Opening,
                \count($sections) > 2 && $sections[\count($sections) - 1] === $id => self::End,
                default => self::Claim,
            };
        }

        return $plan->parent($parent) === Plan::ROOT && $topic->kind === Kind::Section ? self::Reason : self::Evidence;
    }
}
