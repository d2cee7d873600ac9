<?php

declare(strict_types=1);

namespace Embrel\Prompt\Drafting;

use Embrel\Plan\Plan;

/** What a topic has to do with the one before it, as far as a relation between them, their titles and their order tell. */
enum Tie: string
{
    case First = 'first';
    case Addition = 'addition';
    case Cause = 'cause';
    case Effect = 'effect';
    case Contrast = 'contrast';
    case Example = 'example';
    case Sequence = 'sequence';
    case Last = 'last';

    /** What relations are called, English and German. */
    private const CALLED = [
        ['contrast', '/\b(?:but|contradict|contrast|against|versus|oppos|refut|however|unlike|aber|gegen|widersp|dagegen|anders)/iu'],
        ['effect', '/\b(?:leads? to|causes?|results?|therefore|follows? from|hence|so that|führt zu|bewirkt|folgt|daher|also)\b/iu'],
        ['cause', '/\b(?:because|reason|due to|explains?|caused by|weil|grund|wegen|erklärt|verursacht durch)\b/iu'],
        ['example', '/\b(?:examples?|case of|shows|illustrat|beispiel|fall von|zeigt)/iu'],
        ['sequence', '/\b(?:then|after|before|next|precedes|follows|dann|nach|vor|danach)\b/iu'],
    ];
    /** What titles begin with or have in them. */
    private const TITLED = [
        ['contrast', '/\A(?:but|however|yet|on the other hand|objections?|against|aber|doch|jedoch|dagegen|einw[aä]nde?|andererseits)\b/iu'],
        ['cause', '/\A(?:because|the reasons?|reasons?|causes?|why|weil|der grund|gründe|ursachen?|warum)\b/iu'],
        ['effect', '/\A(?:so|therefore|consequences?|effects?|results?|deshalb|daher|folgen?|wirkungen?)\b/iu'],
        ['example', '/\A(?:for example|an? examples?|examples?|e\.g\.|the case of|zum beispiel|ein beispiel|beispiele?|der fall)\b/iu'],
        ['sequence', '/\A(?:then|next|after|afterwards|later|second(?:ly)?|third(?:ly)?|dann|danach|später|zweitens|drittens)\b/iu'],
        ['last', '/\A(?:finally|lastly|last|schließlich|zuletzt)\b/iu'],
    ];
    /** Words with which a title leads over by itself: nothing need be said before them. */
    private const LEADS = '/\A(?:but|however|yet|on the other hand|because|so|therefore|for example|an? examples?|e\.g\.|then|next|after that'
        . '|afterwards|later|first(?:ly)?|second(?:ly)?|third(?:ly)?|finally|lastly|aber|doch|jedoch|dagegen|andererseits|weil|deshalb|daher'
        . '|zum beispiel|ein beispiel|dann|danach|später|erstens|zweitens|drittens|zuerst|zunächst|schließlich|zuletzt)\b/iu';
    private const YEAR = '/(?<!\d)(?:1[0-9]{3}|20[0-9]{2})(?!\d)/';

    /**
     * @param string|null $before the topic before it among those that it stands with; null: it is the first
     * @param bool        $isLast of three or more
     */
    public static function of(Plan $plan, ?string $before, string $id, bool $isLast): self
    {
        if ($before === null) {
            return self::First;
        }
        $title = $plan->topic($id)->title;
        foreach ($plan->relations as $relation) {
            $isForth = $relation->from === $before && $relation->to === $id;
            if ($isForth || ($relation->from === $id && $relation->to === $before)) {
                $tie = self::named(self::CALLED, $relation->label);
                // A cause seen from its other end is an effect.
                if ($tie !== null) {
                    return $isForth ? $tie : match ($tie) {
                        self::Effect => self::Cause,
                        self::Cause => self::Effect,
                        default => $tie,
                    };
                }
            }
        }

        return self::named(self::TITLED, $title) ?? match (true) {
            self::isLater($plan->topic($before)->title, $title) => self::Sequence,
            $isLast => self::Last,
            default => self::Addition,
        };
    }

    /** Whether a title itself begins with what ties it. */
    public static function isSaidBy(string $title): bool
    {
        return preg_match(self::LEADS, $title) === 1;
    }

    /** @param list<array{string, string}> $forms */
    private static function named(array $forms, string $text): ?self
    {
        foreach ($forms as [$tie, $form]) {
            if ($text !== '' && preg_match($form, $text) === 1) {
                return self::from($tie);
            }
        }

        return null;
    }

    private static function isLater(string $before, string $title): bool
    {
        return preg_match(self::YEAR, $before, $a) === 1 && preg_match(self::YEAR, $title, $b) === 1 && $b[0] > $a[0];
    }
}
