<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Rules\Id;
use Embrel\Draft\ShowChoices;
use Embrel\Plan\Label;
use Illuminate\Foundation\Http\FormRequest;

/** What is chosen for a plan that is shown. */
final class PresentRequest extends FormRequest
{
    /** Topics that can be left out, or shown whole. */
    private const MOST = 5_000;

    /** @return array<string, mixed> */
    public function rules(): array
    {
        $ids = ['present', 'array', 'max:' . self::MOST];

        return [
            'levels' => ['required', 'integer', 'between:1,9'],
            'label' => ['present', 'nullable', 'string', 'max:' . Label::LENGTH],
            'without' => $ids,
            'without.*' => [new Id()],
            'whole' => $ids,
            'whole.*' => [new Id()],
            'one_by_one' => ['required', 'boolean'],
            'spoken' => ['required', 'boolean'],
            'seconds' => ['required', 'integer', 'between:2,600'],
            'minutes' => ['required', 'integer', 'between:0,600'],
        ];
    }

    public function choices(): ShowChoices
    {
        return ShowChoices::from([
            'levels' => $this->integer('levels'),
            'label' => $this->string('label')->toString(),
            'without' => $this->array('without'),
            'whole' => $this->array('whole'),
            'one_by_one' => $this->boolean('one_by_one'),
            'spoken' => $this->boolean('spoken'),
            'seconds' => $this->integer('seconds'),
            'minutes' => $this->integer('minutes'),
        ]);
    }
}
