<?php

declare(strict_types=1);

namespace App\Companion;

use Embrel\Prompt\Helper\Parcel;

/** A helper from outside: it is given a parcel and answers with text, which comes in pieces. */
interface Companion
{
    /** Who gets what is sent, as it is told to the person. */
    public function name(): string;

    /**
     * @return \Generator<int, string> pieces of the answer as they come; empty ones while nothing does, so that whoever reads can stop
     *
     * @throws NoAnswer with a sentence for the person
     */
    public function answer(Parcel $parcel): \Generator;
}
