<?php

declare(strict_types=1);

namespace Embrel\Plan;

use Embrel\RichText\Text;

/** What the writers of a plan have said to its checks: rules that are switched off, findings that are set aside. */
final class Checking
{
    public const MOST_SET_ASIDE = 500;
    /** In characters. */
    public const WHY = 300;
    private const MOST_RULES = 100;
    private const RULE = '/\A[a-z][a-z-]{0,39}\z/';
    private const FINDING = '/\A[a-z][a-z-]{0,39}:[0-9A-Z]{0,26}(?::[0-9a-f]{1,32})?\z/';

    /**
     * @param list<mixed> $given
     *
     * @return list<string> each once, in the order of the alphabet
     *
     * @throws InvalidValue
     */
    public static function rules(array $given): array
    {
        $rules = [];
        foreach ($given as $rule) {
            $rules[self::rule(\is_string($rule) ? $rule : '')] = true;
        }
        ksort($rules);

        return \count($rules) <= self::MOST_RULES ? array_map(strval(...), array_keys($rules)) : throw InvalidValue::field('rules_off', '');
    }

    /** @throws InvalidValue where it cannot be the code of a rule */
    public static function rule(string $code): string
    {
        return preg_match(self::RULE, $code) === 1 ? $code : throw InvalidValue::field('rule', $code);
    }

    /**
     * @param list<mixed> $given each the key of a finding and why
     *
     * @return array<string, string>
     *
     * @throws InvalidValue
     */
    public static function setAside(array $given): array
    {
        $aside = [];
        foreach ($given as $one) {
            [$finding, $why] = \is_array($one) && \count($one) === 2 ? array_values($one) : ['', ''];
            $aside[self::finding(\is_string($finding) ? $finding : '')] = self::why(\is_string($why) ? $why : '');
        }
        ksort($aside);
        if (\count($aside) > self::MOST_SET_ASIDE) {
            throw new InvalidValue(
                'At most ' . self::MOST_SET_ASIDE . ' findings can be set aside one by one. Switch off the rule that finds so many.',
            );
        }

        return $aside;
    }

    /** @throws InvalidValue where it cannot be the key of a finding */
    public static function finding(string $key): string
    {
        return preg_match(self::FINDING, $key) === 1 ? $key : throw InvalidValue::field('finding', $key);
    }

    /** @throws InvalidValue */
    public static function why(string $why): string
    {
        $why = Text::line(mb_scrub($why));

        return mb_strlen($why) <= self::WHY ? $why : throw new InvalidValue('A reason may have ' . self::WHY . ' characters.');
    }
}
