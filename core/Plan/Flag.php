<?php

declare(strict_types=1);

namespace Embrel\Plan;

/** A sign a writer sets on a topic. */
enum Flag: string
{
    case Key = 'key';
    case Question = 'question';
    case ToCheck = 'to-check';
    case MayGo = 'may-go';
    case Waiting = 'waiting';
    case First = 'first';
    case Next = 'next';
    case Later = 'later';

    public function label(): string
    {
        return str_replace('-', ' ', $this->value);
    }
}
