<?php

declare(strict_types=1);

namespace Embrel\Check\Rules;

use Embrel\Check\Finding;
use Embrel\Check\Ground;
use Embrel\Check\Rule;
use Embrel\Check\Text\Reading;
use Embrel\Plan\Arrows;
use Embrel\Plan\Kind;
use Embrel\Plan\Relation;

/** Where relations say what argues for and against what: reasons that nothing stands behind, and objections without an answer. */
final class Argument implements RuleSet
{
    private const FOR = '/\b(?:support\w*|prove\w*|reason\w*|evidence|because|shows?|stützt|belegt|beweist|spricht (?:da)?für|weil)\b/iu';
    private const AGAINST = '/\b(?:against|object\w*|contradict\w*|den(?:y|ies)|attacks?|gegen|widerspricht|einwand|spricht (?:da)?gegen)\b/iu';
    private const ANSWERS = '/\b(?:answer\w*|rebut\w*|repl(?:y|ies)|refut\w*|meets|antwortet|entkräftet|widerlegt|entgegnet)\b/iu';

    public function findings(Ground $ground): iterable
    {
        $reasons = $supported = $objections = $answered = [];
        foreach ($ground->plan->relations as $relation) {
            [$from, $to] = self::ends($relation);
            if (!isset($ground->levels[$from], $ground->levels[$to])) {
                continue;
            }
            if (preg_match(self::ANSWERS, $relation->label) === 1) {
                $answered[$to] = true;
            } elseif (preg_match(self::AGAINST, $relation->label) === 1) {
                $objections[$from] = $to;
                // What argues against an objection answers it.
                $answered[$to] = true;
            } elseif (preg_match(self::FOR, $relation->label) === 1) {
                $reasons[$from] = $to;
                $supported[$to] = true;
            }
        }
        foreach ($reasons as $id => $claim) {
            if (!isset($supported[$id]) && !self::rests($ground, (string) $id)) {
                yield new Finding(Rule::ReasonAlone, [(string) $id, $claim], ['claim' => $ground->name($claim)]);
            }
        }
        foreach ($objections as $id => $claim) {
            if (!isset($answered[$id])) {
                yield new Finding(Rule::ObjectionOpen, [(string) $id, $claim], ['claim' => $ground->name($claim)]);
            }
        }
    }

    /** @return array{string, string} from and to, as its arrow points */
    private static function ends(Relation $relation): array
    {
        return $relation->arrows === Arrows::Start ? [$relation->to, $relation->from] : [$relation->from, $relation->to];
    }

    /** Whether something stands behind it: a citation, a quotation, or parts of its own. */
    private static function rests(Ground $ground, string $id): bool
    {
        foreach ($ground->readings[$id]->spots ?? [] as $spot) {
            if ($spot->sign === Reading::CITES) {
                return true;
            }
        }

        foreach ($ground->plan->parts($id) as $part) {
            if ($ground->plan->topics[$part]->kind !== Kind::Aside) {
                return true;
            }
        }

        return false;
    }
}
