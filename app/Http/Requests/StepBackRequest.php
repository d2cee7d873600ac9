<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Rules\Id;
use Illuminate\Foundation\Http\FormRequest;

/** Undo and redo: from which revision on the page wants to hear, and which step, if it is not the newest. */
final class StepBackRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return ['base' => ['required', 'integer', 'min:0'], 'step' => ['nullable', new Id()]];
    }

    public function base(): int
    {
        return $this->integer('base');
    }

    public function step(): ?string
    {
        return $this->string('step')->toString() ?: null;
    }
}
