<?php

declare(strict_types=1);

namespace Embrel\Check;

use Embrel\Plan\Plan;

/** The words of findings: the one table of them. */
final readonly class Says
{
    private const NUMBERS = ['No', 'One', 'Two', 'Three', 'Four', 'Five', 'Six', 'Seven', 'Eight', 'Nine', 'Ten', 'Eleven', 'Twelve'];
    private const NAMED = 8;

    public function __construct(private Ground $ground) {}

    /** What a rule is about, where rules are switched on and off. */
    public static function rule(Rule $rule): string
    {
        return self::table($rule)[0];
    }

    /** Why it is worth a look. */
    public static function why(Rule $rule): string
    {
        return self::table($rule)[1];
    }

    /** What one goes and does. */
    public static function act(Rule $rule): string
    {
        return self::table($rule)[2];
    }

    /** @return array{string, string, string} what it is about, why, and what to do */
    private static function table(Rule $rule): array
    {
        return match ($rule) {
            Rule::NothingYet => ['Nothing written yet', 'The sections stand; the first words are still to come.', 'Begin'],
            Rule::EmptyLast => ['The last section is empty', 'It is what a reader keeps.', 'Write it'],
            Rule::EmptyBranch => ['Branches without a word', 'Their headings would print one under the other.', 'Write it'],
            Rule::EmptySection => ['Sections without a word', 'Nothing of them would print but the heading.', 'Write it'],
            Rule::FarUnder => ['Far under the target', 'Less than half of the words that were planned.', 'Go on writing'],
            Rule::FarOver => ['Far over the target', 'More than a quarter beyond the words that were planned.', 'See it'],
            Rule::OutOfProportion => ['Out of proportion', 'One main section takes far more than an even share.', 'See it'],
            Rule::OnlyPart => ['A part on its own', 'A heading with one heading under it usually wants none, or two.', 'See it'],
            Rule::ManyParts => ['Many parts in a row', 'More than can be held in mind: some may belong together.', 'See them'],
            Rule::TooDeep => ['Nested deep', 'Readers lose their way in so many levels.', 'See it'],
            Rule::StackedHeadings => ['A heading right under another', 'A sentence between them says what is to come.', 'Write it'],
            Rule::SameTitle => ['The same title twice', 'A contents list cannot tell them apart.', 'See it'],
            Rule::UnlikeTitles => ['Titles of unlike form', 'Beside each other, titles read best in one form.', 'See it'],
            Rule::LongTitle => ['A title longer than two lines', 'It may be the first sentence of its text.', 'See it'],
            Rule::NoTitle => ['Sections without a title', 'They print under an empty heading.', 'Name it'],
            Rule::QuoteUnsourced => ['Quotations without a source', 'A reader will want to know whose words they are.', 'Find its source'],
            Rule::SourceUncited => ['Sources that are never cited', 'Not in the list of references.', 'See it'],
            Rule::SourceIncomplete => ['Sources with something missing', 'The style of the plan has a place for it.', 'Complete it'],
            Rule::SourceDouble => ['Sources that may be the same', 'The list of references would have it twice.', 'See both'],
            Rule::SourceGone => ['Citations of a source that is gone', 'They print as a gap.', 'See it'],
            Rule::AddressUnsourced => ['Addresses in the text', 'Kept as a source, one can be cited and is not lost.', 'See it'],
            Rule::ReferenceLost => ['References that lead nowhere', 'What they lead to was removed, or does not print.', 'See it'],
            Rule::NoCaption => ['Pictures without a caption', 'Without one, a figure has no number and is in no list.', 'Name it'],
            Rule::NoAlternative => ['Pictures that are not described', 'Screen readers pass over them.', 'Describe it'],
            Rule::TwoSpaces => ['Two spaces between words', 'They print as a gap.', 'See it'],
            Rule::UnlikeQuotes => ['Quotation marks of two kinds', 'A text keeps to one kind.', 'See it'],
            Rule::StraightQuotes => ['Straight quotation marks', 'The rest of the text has curved ones.', 'See it'],
            Rule::WordTwice => ['A word twice in a row', 'One of them may be left over.', 'See it'],
            Rule::LongSentence => ['Sentences far longer than the rest', 'Some may be two.', 'See it'],
            Rule::LongParagraph => ['Paragraphs far longer than the rest', 'Some may be two.', 'See it'],
            Rule::Scaffold => [
                'Scaffolding that waits to be rewritten',
                'It holds a first draft together and never prints: what it says is missing there.',
                'Rewrite it',
            ],
            Rule::Passive => ['Passages in the passive', 'A guess, by the form of the verbs: who does what may be hidden.', 'See it'],
            Rule::Flagged => ['Flags that are not settled', 'Questions, things to check, and what waits.', 'See it'],
            Rule::WorkLate => ['Work past its date', 'It is not done, and its date has gone.', 'See it'],
            Rule::DaysReversed => ['Work that ends before it begins', 'One of its two days is not meant so.', 'See it'],
            Rule::LooseIdeas => ['Loose ideas', 'What has no place does not print.', 'Sort them'],
            Rule::ReasonAlone => ['Reasons with nothing behind them', 'No source, quotation or reason stands under them.', 'See it'],
            Rule::ObjectionOpen => ['Objections that nobody answers', 'A relation says “against”, and none says “answers”.', 'See it'],
        };
    }

    /** Of all that one rule has found. */
    public function heading(Group $group): string
    {
        $count = \count($group->findings);
        $one = $group->findings[0];
        $first = $one->topics === [] ? '' : $this->ground->short($one->topics[0]);
        // A number without a dot could be a count.
        $first = preg_match('/\A(?:\d+|[IVXLC]+)\z/', $first) === 1 ? "Section {$first}" : $first;
        if ($count > 1) {
            $number = self::number($count);

            return match ($group->rule) {
                Rule::EmptySection => "{$number} sections have no text",
                Rule::EmptyBranch => "{$number} branches have no text",
                Rule::FarUnder => "{$number} sections are far under their targets",
                Rule::FarOver => "{$number} sections are far over their targets",
                Rule::OnlyPart => "{$number} sections have a part on its own below them",
                Rule::StackedHeadings => "{$number} headings stand right under another",
                Rule::SameTitle => "{$number} titles stand more than once",
                Rule::QuoteUnsourced => "{$number} quotations have no source",
                Rule::SourceUncited => "{$number} sources are never cited",
                Rule::SourceIncomplete => "{$number} sources lack something",
                Rule::Flagged => "{$number} flags are not settled",
                Rule::WorkLate => "The work on {$count} topics is late",
                default => self::rule($group->rule) . ": {$count}",
            };
        }

        return match ($group->rule) {
            Rule::NothingYet => 'Nothing is written yet',
            Rule::EmptyLast => 'The last section is empty',
            Rule::EmptyBranch, Rule::EmptySection => "{$first} has no text",
            Rule::FarUnder => "{$first} is far under its target",
            Rule::FarOver => "{$first} is far over its target",
            Rule::OutOfProportion => "{$first} holds " . self::share((int) $one->facts['words'], (int) $one->facts['sum']) . ' of the plan',
            Rule::OnlyPart => "{$first} has a part on its own below it",
            Rule::ManyParts => ($one->topics[0] === Plan::ROOT ? 'The plan' : $first) . " has {$one->facts['parts']} parts in a row",
            Rule::TooDeep => "{$first} stands more than {$one->facts['levels']} levels deep",
            Rule::SameTitle => 'A title stands more than once',
            Rule::QuoteUnsourced => 'A quotation without a source',
            Rule::SourceUncited => 'A source is never cited',
            Rule::SourceIncomplete => 'A source lacks something',
            Rule::SourceDouble => 'Two sources may be the same',
            Rule::Flagged => "A flag is not settled: {$one->facts['flag']}",
            Rule::WorkLate => "Work is late: {$one->facts['due']}",
            Rule::LooseIdeas => self::number((int) $one->facts['ideas'])
                . ($one->facts['ideas'] === 1 ? ' idea is loose' : ' ideas are loose'),
            default => self::rule($group->rule),
        };
    }

    /** Where all of a rule's findings are; of one what it is about. */
    public function detail(Group $group): string
    {
        if (\count($group->findings) === 1) {
            return $this->line($group->findings[0], true);
        }
        $places = [];
        foreach ($group->findings as $finding) {
            $places[] = $finding->topics === [] ? (string) $finding->facts['name'] : $this->ground->short($finding->topics[0]);
        }
        $places = array_values(array_unique($places));
        $more = \count($places) - self::NAMED;
        $named = implode($group->findings[0]->topics === [] ? '; ' : ', ', \array_slice($places, 0, self::NAMED)) . ($more > 0 ? " and {$more} more" : '');

        return "{$named}. " . self::why($group->rule);
    }

    /**
     * One finding in a line.
     *
     * @param bool $isAlone whether nothing else says where it is and why it matters
     */
    public function line(Finding $finding, bool $isAlone = false): string
    {
        $facts = $finding->facts;
        $why = $isAlone ? ' ' . self::why($finding->rule) : '';
        $where = $finding->topics === [] ? '' : $this->ground->name($finding->topics[0]);
        // What is in a title is told with it.
        $isInTitle = $finding->hit !== null && $finding->hit->block === null;
        $text = $isInTitle ? '' : self::quoted((string) ($facts['text'] ?? ''));

        return match ($finding->rule) {
            Rule::NothingYet => "{$facts['sections']} main sections stand." . $why,
            Rule::EmptyLast, Rule::EmptyBranch, Rule::EmptySection => self::sentence($where)
                . ((int) $facts['target'] > 0 ? ' It has a target of ' . number_format((int) $facts['target']) . ' words.' : $why),
            Rule::FarUnder, Rule::FarOver => $this->subject($finding)
                . ': ' . number_format((int) $facts['words']) . ' of ' . number_format((int) $facts['target']) . ' words.',
            Rule::OutOfProportion => self::sentence($where)
                . ' ' . number_format((int) $facts['words']) . ' of ' . number_format((int) $facts['sum']) . ' words. An even share is '
                . number_format((int) $facts['even']) . '.',
            Rule::OnlyPart => "{$where}: “{$facts['part']}”." . $why,
            Rule::ManyParts => $this->subject($finding) . ": {$facts['parts']} parts." . $why,
            Rule::StackedHeadings => "{$where}, then “{$facts['next']}”." . $why,
            Rule::SameTitle => "“{$facts['title']}” stands in " . self::listed(array_map($this->ground->short(...), $finding->topics)) . '.',
            Rule::UnlikeTitles => self::listed(array_map($this->ground->name(...), $finding->topics)) . self::form($facts) . '.',
            Rule::LongTitle => "{$where} ({$facts['characters']} characters)." . $why,
            Rule::SourceUncited => self::sentence((string) $facts['name']) . $why,
            Rule::SourceIncomplete => "{$facts['name']}: {$facts['missing']} is missing.",
            Rule::SourceDouble => "{$facts['name']} and {$facts['other']}." . $why,
            Rule::ReferenceLost => $facts['to'] === '' ? "{$where}: to something that was removed." : "{$where}: to {$facts['to']}, which does not print.",
            Rule::LongSentence => "{$where}: {$facts['words']} words, where {$facts['mean']} are usual. {$text}",
            Rule::LongParagraph => "{$where}: {$facts['words']} words, where {$facts['usual']} are usual. {$text}",
            Rule::Flagged => "{$where} ({$facts['flag']}).",
            Rule::WorkLate => "{$where}: due on {$facts['due']}" . ($facts['who'] === '' ? '.' : ", {$facts['who']}."),
            Rule::DaysReversed => "{$where}: from {$facts['begins']} to {$facts['due']}.",
            Rule::LooseIdeas => trim($why),
            Rule::ReasonAlone => "{$where}, for {$facts['claim']}." . $why,
            Rule::ObjectionOpen => "{$where}, against {$facts['claim']}." . $why,
            default => $text === '' ? self::sentence($where) . $why : "{$where}: {$text}",
        };
    }

    private function subject(Finding $finding): string
    {
        return $finding->topics[0] === Plan::ROOT ? 'The plan' : $this->ground->name($finding->topics[0]);
    }

    private static function number(int $count): string
    {
        return self::NUMBERS[$count] ?? number_format($count);
    }

    /** What is in quotation marks stays as it is. */
    private static function quoted(string $text): string
    {
        return $text === '' || preg_match('/\A[“„"«‘]/u', $text) === 1 ? $text : "“{$text}”";
    }

    private static function sentence(string $text): string
    {
        return preg_match('/[.?!…]\z/u', $text) === 1 ? $text : "{$text}.";
    }

    /** @param array<string, int|string> $facts */
    private static function form(array $facts): string
    {
        $has = $facts['has'] === 1;

        return match ($facts['form']) {
            'question' => $has ? ' asks, where the others state' : ' states, where the others ask',
            'stop' => $has ? ' ends in a full stop, where the others do not' : ' has no full stop, where the others have one',
            default => $has ? ' has capitals throughout, unlike the others' : ' has few capitals, unlike the others',
        };
    }

    /** @param list<string> $names */
    private static function listed(array $names): string
    {
        $last = array_pop($names);

        return $names === [] ? (string) $last : implode(', ', $names) . " and {$last}";
    }

    private static function share(int $part, int $whole): string
    {
        $share = $part / $whole;

        return match (true) {
            $share >= 0.62 => 'most',
            $share >= 0.45 => 'half',
            $share >= 0.3 => 'a third',
            $share >= 0.22 => 'a quarter',
            default => round(100 * $share) . ' in a hundred',
        };
    }
}
