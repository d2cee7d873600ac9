<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Models\Plan;
use App\Models\User;
use App\Rules\Id;
use App\Store\MapBacks;
use App\Store\MapStyles;
use App\Store\PersonalState;
use App\Store\PlanPictures;
use App\Store\SaidRemarks;
use App\Store\Styles;
use App\Store\Templates;
use Embrel\Document\Counted;
use Embrel\Document\Origin;
use Embrel\Document\Pictures;
use Embrel\Document\Style as DraftStyle;
use Embrel\Document\Template;
use Embrel\Draft\Choices;
use Embrel\Draft\DraftChoices;
use Embrel\Draft\MapChoices;
use Embrel\Draft\OutlineChoices;
use Embrel\Draft\Printing;
use Embrel\Draft\ShowChoices;
use Embrel\Layout\Map\Arrangement;
use Embrel\Layout\Map\Look;
use Embrel\Layout\Map\Sheets;
use Embrel\Plan\Plan as CorePlan;
use Embrel\Plan\Scheme;
use Embrel\Writer\Feature;
use Embrel\Writer\Format;
use Embrel\Writer\TemplateStyles;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;

final class HandOverRequest extends FormRequest
{
    /**
     * What was chosen earlier, for work that goes on without the browser.
     *
     * @param array<array-key, mixed> $choices validated then
     */
    public static function ofTask(Plan $plan, User $user, array $choices): self
    {
        $request = self::create('/', 'GET', $choices);
        $request->planRow = $plan;
        $request->setUserResolver(static fn(): User => $user);

        return $request;
    }

    private ?Plan $planRow = null;

    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'format' => ['nullable', Rule::enum(Format::class)],
            'from' => ['nullable', new Id()],
            'heading_depth' => ['nullable', 'integer', 'between:1,9'],
            'numbering' => ['nullable', Rule::enum(Scheme::class)],
            'number_depth' => ['nullable', 'integer', 'between:1,9'],
            'notes' => ['nullable', 'boolean'],
            'text_notes' => ['nullable', 'boolean'],
            'contents' => ['nullable', 'boolean'],
            'contents_depth' => ['nullable', 'integer', 'between:1,9'],
            'other_notes' => ['nullable', 'boolean'],
            'loose' => ['nullable', 'boolean'],
            'all_sources' => ['nullable', 'boolean'],
            'arrangement' => ['nullable', Rule::enum(Arrangement::class)],
            'style' => ['bail', 'nullable', 'string', 'max:26', 'ascii'],
            'seen' => ['nullable', 'boolean'],
            'ground' => ['nullable', 'boolean'],
            'scale' => ['nullable', 'integer', 'between:1,4'],
            'fonts' => ['nullable', 'boolean'],
            'paper' => ['nullable', Rule::in(array_keys(Sheets::PAPERS))],
            'several' => ['nullable', 'boolean'],
            'page' => ['nullable', 'integer', 'between:0,100000'],
            'points' => ['nullable', Rule::in(['list', 'text', 'out'])],
            'quotes' => ['nullable', 'boolean'],
            'asides' => ['nullable', Rule::in(['text', 'out'])],
            'indent_depth' => ['nullable', 'integer', 'between:1,9'],
            'draft_style' => ['bail', 'nullable', 'string', 'max:26', 'ascii'],
            'template' => ['nullable', new Id()],
            'empty' => ['nullable', 'boolean'],
            'pictures' => ['nullable', 'boolean'],
            'see_also' => ['nullable', 'boolean'],
            'signs' => ['nullable', 'boolean'],
            'citation_fields' => ['nullable', 'boolean'],
            'sources' => ['nullable', 'boolean'],
            'figures' => ['nullable', 'boolean'],
            'helped' => ['nullable', 'boolean'],
            'glossary' => ['nullable', 'boolean'],
            'index' => ['nullable', 'boolean'],
            'marks' => ['nullable', 'boolean'],
            'carried_fonts' => ['nullable', Rule::in(['cut', 'whole', 'none'])],
            'slide_levels' => ['nullable', 'integer', 'between:1,9'],
            'slide_each' => ['nullable', 'boolean'],
            'slide_sheet' => ['nullable', Rule::in(ShowChoices::SHEET)],
            'comments' => ['nullable', 'boolean'],
            'md_marks' => ['nullable', 'boolean'],
            'count_titles' => ['nullable', 'boolean'],
            'count_quotations' => ['nullable', 'boolean'],
            'count_footnotes' => ['nullable', 'boolean'],
            'count_references' => ['nullable', 'boolean'],
        ];
    }

    /** As the person sees it, or as usual; both in the arrangement that was chosen. */
    private function map(): Look
    {
        $stored = $this->boolean('seen') ? (new PersonalState())->map($this->person(), $this->plan())->toArray() : [];
        $style = $this->string('style')->toString();
        // One of ours by its name, or one's own by its id: what it is not, it is not taken for.
        $chosen = array_filter(['arrangement' => $this->string('arrangement')->toString(), 'style' => $style]);

        return MapStyles::look($this->person(), $chosen + ($style === '' ? [] : ['own' => $style]) + $stored);
    }

    private function person(): User
    {
        return $this->user() ?? abort(401);
    }

    private function plan(): Plan
    {
        $plan = $this->planRow ?? $this->route('plan');

        return $plan instanceof Plan ? $plan : abort(404);
    }

    /** @return array{DraftStyle, Pictures|null} as the template looks, where one is used */
    private function look(): array
    {
        $style = Styles::find($this->person(), $this->string('draft_style')->toString() ?: 'report');
        $pictures = new PlanPictures($this->plan()->id);
        $template = $this->template();

        return $template === null ? [$style, $pictures] : TemplateStyles::of($template)->applied($style, $pictures);
    }

    private function template(): ?Template
    {
        $id = $this->string('template')->toString();

        return $this->writing()->has(Feature::Paged) ? app(Templates::class)->find($this->person(), $id) : null;
    }

    /** @return array<string, mixed> what was chosen, to be found again at the next hand-over */
    public function kept(): array
    {
        return array_diff_key($this->validated(), ['from' => 1, 'page' => 1]);
    }

    public function writing(): Format
    {
        return Format::tryFrom($this->string('format')->toString()) ?? Format::Docx;
    }

    /** `most`: only the first so many topics. */
    public function choices(CorePlan $plan, ?int $most = null): Choices
    {
        $from = $this->string('from')->toString();
        $numberDepth = $this->input('number_depth');
        [$style, $pictures] = $this->look();
        $map = $this->map();

        return new Choices(
            from: $from !== '' && $plan->has($from) && $plan->home($from) === CorePlan::ROOT
                ? $from
                : ($from === ''
                    ? CorePlan::ROOT
                    : abort(404)),
            scheme: Scheme::tryFrom($this->string('numbering')->toString()),
            numberDepth: $numberDepth === null ? null : (int) $numberDepth,
            // A numbered outline is titles and numbers, unless its notes are asked for.
            notes: $this->writing()->has(Feature::Titles) ? $this->boolean('text_notes') : $this->boolean('notes', true),
            allSources: $this->boolean('all_sources'),
            pictures: $pictures,
            draft: $this->draft($style, $most),
            map: new MapChoices(
                $map,
                $this->boolean('seen') ? (new PersonalState())->folds($this->person(), $this->plan()) : [],
                $this->boolean('ground', true),
                $this->boolean('fonts'),
                $this->string('paper')->toString() ?: null,
                $this->boolean('several'),
                $this->integer('scale') ?: 2,
                $map->own === null ? null : MapBacks::bytes($this->person(), $map->own->picture),
            ),
            outline: new OutlineChoices($this->boolean('other_notes', true), $this->boolean('loose')),
            show: $this->show(),
        );
    }

    /** As it was chosen for an audience, but for what slides are asked in particular. */
    private function show(): ShowChoices
    {
        $chosen = (new PersonalState())->present($this->person(), $this->plan());

        return $chosen->with([
            'levels' => $this->integer('slide_levels') ?: $chosen->levels,
            'eachStep' => $this->boolean('slide_each'),
            'sheet' => $this->integer('slide_sheet') ?: 4,
        ]);
    }

    private function draft(DraftStyle $style, ?int $most): DraftChoices
    {
        return new DraftChoices(
            headingDepth: $this->integer('heading_depth', 6) ?: 6,
            contents: $this->boolean('contents', true),
            contentsDepth: $this->integer('contents_depth', DraftChoices::CONTENTS_LEVELS) ?: DraftChoices::CONTENTS_LEVELS,
            prints: [
                'point' => Printing::tryFrom($this->string('points')->toString()) ?? Printing::Item,
                'quote' => $this->boolean('quotes', true) ? Printing::Quote : Printing::Out,
                'aside' => Printing::tryFrom($this->string('asides')->toString()) ?? Printing::Out,
            ],
            indentDepth: $this->integer('indent_depth', 9) ?: 9,
            emptySections: $this->boolean('empty', true),
            showsPictures: $this->boolean('pictures', true),
            seeAlso: $this->boolean('see_also'),
            signs: $this->boolean('signs'),
            citationFields: $this->boolean('citation_fields'),
            sources: $this->boolean('sources', true),
            figures: $this->boolean('figures'),
            helped: $this->boolean('helped'),
            glossary: $this->boolean('glossary'),
            index: $this->boolean('index'),
            style: $style,
            counted: new Counted(
                $this->boolean('count_titles'),
                $this->boolean('count_quotations', true),
                $this->boolean('count_footnotes'),
                $this->boolean('count_references'),
            ),
            date: now($this->person()->time_zone ?: 'UTC')->format('Y-m-d'),
            marks: $this->has('marks') ? $this->boolean('marks') : null,
            template: $this->template(),
            most: $most,
            remarks: $this->boolean('comments') ? SaidRemarks::of($this->plan()) : [],
            fonts: $this->string('carried_fonts')->toString() !== 'none',
            wholeFonts: $this->string('carried_fonts')->toString() === 'whole',
            origin: new Origin($this->plan()->id, (int) $this->plan()->revision),
        );
    }
}
