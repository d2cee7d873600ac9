<?php

declare(strict_types=1);

namespace Embrel\Document;

/** What an element of a draft is. */
enum Role: string
{
    case Heading = 'heading';
    case Item = 'item';
    case Quote = 'quote';
    case Body = 'body';
    case Picture = 'picture';
    /** An entry of the list of references. */
    case Reference = 'reference';
    /** A term of the index: its title, with the places where it stands; its block says the same by sections. */
    case IndexEntry = 'index-entry';
    /** A contents list, or what leads around a site: left out unless it is wanted. Its title says which. */
    case LeftOut = 'left-out';
    /** A line that names related sections. */
    case SeeAlso = 'see-also';
}
