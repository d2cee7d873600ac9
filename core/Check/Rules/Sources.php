<?php

declare(strict_types=1);

namespace Embrel\Check\Rules;

use Embrel\Check\Finding;
use Embrel\Check\Ground;
use Embrel\Check\Rule;
use Embrel\Check\Text\Reading;
use Embrel\Citation\Completeness;
use Embrel\Citation\Duplicates;
use Embrel\Citation\Label;
use Embrel\Citation\Source;
use Embrel\Citation\Terms;
use Embrel\Plan\Kind;
use Embrel\Plan\Plan;

/** What is quoted, what is cited, and whether a reader can find it. */
final class Sources implements RuleSet
{
    public function findings(Ground $ground): iterable
    {
        $sources = $ground->plan->sources;
        $addresses = self::addresses($sources);
        $cited = $unsourced = $gone = $plain = [];
        foreach ([Plan::ROOT, ...$ground->printing, ...\array_slice($ground->plan->branch(Plan::TRAY), 1)] as $id) {
            $cites = 0;
            foreach ($ground->readings[$id]->spots ?? [] as $spot) {
                $hit = $spot->hit($id);
                if ($spot->sign === Reading::CITES) {
                    ++$cites;
                    isset($sources[$spot->text])
                        ? $cited[$spot->text] = true
                        : $gone[$id] ??= new Finding(Rule::SourceGone, [$id], hit: $hit, thing: $spot->text);
                } elseif ($spot->sign === Reading::UNSOURCED) {
                    $unsourced[] = new Finding(Rule::QuoteUnsourced, [$id], ['text' => $spot->text], $hit, thing: $spot->text);
                } elseif ($spot->sign === Reading::ADDRESS && !isset($addresses[self::bare($spot->text)])) {
                    $plain[] = new Finding(Rule::AddressUnsourced, [$id], ['text' => $spot->text], $hit, thing: $spot->text);
                }
            }
            $topic = $ground->plan->topics[$id];
            if ($topic->kind === Kind::Quote && $cites === 0 && $topic->title !== '') {
                $unsourced[] = new Finding(Rule::QuoteUnsourced, [$id], ['text' => mb_strimwidth($topic->title, 0, 120, '…')]);
            }
        }
        yield from $gone;
        yield from $unsourced;
        yield from $plain;
        yield from self::list($ground, $cited);
    }

    /**
     * @param array<string, true> $cited
     *
     * @return iterable<Finding>
     */
    private static function list(Ground $ground, array $cited): iterable
    {
        $terms = Terms::of($ground->plan->properties->language);
        $known = new Duplicates();
        foreach ($ground->plan->sources as $id => $source) {
            $name = Label::ofSource($source, $terms);
            $same = $known->of($source);
            $known->add($source);
            if ($same !== null) {
                $other = Label::ofSource($ground->plan->sources[$same], $terms);
                yield new Finding(Rule::SourceDouble, [], ['name' => $name, 'other' => $other], sources: [$same, $id], thing: $same . $id);
            }
            if (!isset($cited[$id])) {
                yield new Finding(Rule::SourceUncited, [], ['name' => $name], sources: [$id], thing: $id);
                continue;
            }
            $missing = Completeness::missing($source, $ground->plan->properties->citationStyle);
            if ($missing !== []) {
                $says = implode(', ', $missing);
                yield new Finding(Rule::SourceIncomplete, [], ['name' => $name, 'missing' => $says], sources: [$id], thing: $id . $says);
            }
        }
    }

    /**
     * @param array<string, Source> $sources
     *
     * @return array<string, true>
     */
    private static function addresses(array $sources): array
    {
        $known = [];
        foreach ($sources as $source) {
            foreach ([$source->url, $source->doi === '' ? '' : "doi.org/{$source->doi}"] as $address) {
                $address === '' ? null : $known[self::bare($address)] = true;
            }
        }

        return $known;
    }

    private static function bare(string $address): string
    {
        return preg_replace('/\A(?:https?:\/\/)?(?:www\.|dx\.)?|\/\z/', '', strtolower($address)) ?? $address;
    }
}
