<?php

declare(strict_types=1);

namespace Embrel\Check\Research;

/** Where a topic goes that is no section. */
enum Filing: string
{
    /** Into the note of the topic above it, as a quotation. */
    case Quote = 'quote';
    /** Into the sources of the plan. */
    case Source = 'source';
    /** It stays where it is and prints as nothing. */
    case Aside = 'aside';
    /** Into the note of a topic that is named. */
    case Note = 'note';
}
