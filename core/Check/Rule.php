<?php

declare(strict_types=1);

namespace Embrel\Check;

/** What Check looks for: its code, which never changes, and how serious it is. The words are in Says. */
enum Rule: string
{
    case NothingYet = 'nothing-yet';
    case EmptyLast = 'empty-last';
    case EmptyBranch = 'empty-branch';
    case EmptySection = 'empty-section';
    case FarUnder = 'far-under';
    case FarOver = 'far-over';
    case OutOfProportion = 'out-of-proportion';
    case OnlyPart = 'only-part';
    case ManyParts = 'many-parts';
    case TooDeep = 'too-deep';
    case StackedHeadings = 'stacked-headings';
    case SameTitle = 'same-title';
    case UnlikeTitles = 'unlike-titles';
    case LongTitle = 'long-title';
    case NoTitle = 'no-title';
    case QuoteUnsourced = 'quote-unsourced';
    case SourceUncited = 'source-uncited';
    case SourceIncomplete = 'source-incomplete';
    case SourceDouble = 'source-double';
    case SourceGone = 'source-gone';
    case AddressUnsourced = 'address-unsourced';
    case ReferenceLost = 'reference-lost';
    case NoCaption = 'no-caption';
    case NoAlternative = 'no-alternative';
    case TwoSpaces = 'two-spaces';
    case UnlikeQuotes = 'unlike-quotes';
    case StraightQuotes = 'straight-quotes';
    case WordTwice = 'word-twice';
    case LongSentence = 'long-sentence';
    case LongParagraph = 'long-paragraph';
    case Passive = 'passive';
    case Scaffold = 'scaffold';
    case Flagged = 'flagged';
    case WorkLate = 'work-late';
    case DaysReversed = 'days-reversed';
    case LooseIdeas = 'loose-ideas';
    case ReasonAlone = 'reason-alone';
    case ObjectionOpen = 'objection-open';

    public function weight(): Weight
    {
        return match ($this) {
            self::EmptyLast,
            self::EmptyBranch,
            self::EmptySection,
            self::QuoteUnsourced,
            self::SourceGone,
            self::SourceIncomplete,
            self::ReferenceLost,
            self::NoTitle => Weight::Serious,
            self::FarUnder,
            self::FarOver,
            self::OutOfProportion,
            self::OnlyPart,
            self::SameTitle,
            self::SourceDouble,
            self::NoCaption,
            self::NoAlternative,
            self::Flagged,
            self::WorkLate,
            self::DaysReversed,
            self::WordTwice,
            self::Scaffold,
            self::ReasonAlone,
            self::ObjectionOpen => Weight::Doubtful,
            default => Weight::Slight,
        };
    }

    /** Whether a text can be mended without asking what was meant. */
    public function isMendable(): bool
    {
        return match ($this) {
            self::TwoSpaces, self::StraightQuotes, self::WordTwice, self::SourceDouble => true,
            default => false,
        };
    }
}
