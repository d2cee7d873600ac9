<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Models\Plan;
use App\Models\User;
use App\Store\PersonalState;
use App\Store\PlanPictures;
use Embrel\Draft\Choices;
use Embrel\Layout\Map\Arrangement;
use Embrel\Layout\Map\Look;
use Embrel\Layout\Map\Sheets;
use Embrel\Layout\Map\Style;
use Embrel\Plan\Plan as CorePlan;
use Embrel\Plan\Scheme;
use Embrel\Writer\Format;
use Illuminate\Auth\Access\Response;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Support\Facades\Gate;
use Illuminate\Validation\Rule;

final class HandOverRequest extends FormRequest
{
    public function authorize(): Response
    {
        $plan = $this->route('plan');

        return $plan instanceof Plan ? Gate::inspect('view', $plan) : Response::denyAsNotFound();
    }

    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'format' => ['nullable', Rule::enum(Format::class)],
            'from' => ['nullable', 'string', 'size:26'],
            'heading_depth' => ['nullable', 'integer', 'between:1,9'],
            'numbering' => ['nullable', Rule::enum(Scheme::class)],
            'number_depth' => ['nullable', 'integer', 'between:1,9'],
            'notes' => ['nullable', 'boolean'],
            'contents' => ['nullable', 'boolean'],
            'other_notes' => ['nullable', 'boolean'],
            'loose' => ['nullable', 'boolean'],
            'all_sources' => ['nullable', 'boolean'],
            'arrangement' => ['nullable', Rule::enum(Arrangement::class)],
            'style' => ['nullable', Rule::enum(Style::class)],
            'seen' => ['nullable', 'boolean'],
            'ground' => ['nullable', 'boolean'],
            'fonts' => ['nullable', 'boolean'],
            'paper' => ['nullable', Rule::in(array_keys(Sheets::PAPERS))],
            'several' => ['nullable', 'boolean'],
        ];
    }

    /** As the person sees it, or as usual; both in the arrangement that was chosen. */
    private function map(): Look
    {
        $look = $this->boolean('seen') ? (new PersonalState())->map($this->person(), $this->plan())->toArray() : [];

        return Look::from(array_filter(['arrangement' => $this->string('arrangement')->toString(), 'style' => $this->string('style')->toString()]) + $look);
    }

    private function person(): User
    {
        return $this->user() ?? abort(401);
    }

    private function plan(): Plan
    {
        $plan = $this->route('plan');

        return $plan instanceof Plan ? $plan : abort(404);
    }

    public function writing(): Format
    {
        return Format::tryFrom($this->string('format')->toString()) ?? Format::Docx;
    }

    public function choices(CorePlan $plan): Choices
    {
        $from = $this->string('from')->toString();
        $numberDepth = $this->input('number_depth');

        return new Choices(
            $from !== '' && $plan->has($from) && $plan->home($from) === CorePlan::ROOT ? $from : ($from === '' ? CorePlan::ROOT : abort(404)),
            $this->integer('heading_depth', 6) ?: 6,
            Scheme::tryFrom($this->string('numbering')->toString()),
            $numberDepth === null ? null : (int) $numberDepth,
            $this->boolean('notes', true),
            $this->boolean('contents', true),
            $this->boolean('other_notes', true),
            $this->boolean('loose'),
            $this->map(),
            $this->boolean('seen') ? (new PersonalState())->folds($this->person(), $this->plan()) : [],
            $this->boolean('ground', true),
            $this->boolean('fonts'),
            new PlanPictures($this->plan()->id),
            $this->string('paper')->toString() ?: null,
            $this->boolean('several'),
            $this->boolean('all_sources'),
        );
    }
}
