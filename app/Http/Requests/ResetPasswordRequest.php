<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Rules\Address;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rules\Password;

final class ResetPasswordRequest extends FormRequest
{
    public function authorize(): bool
    {
        return true;
    }

    protected function prepareForValidation(): void
    {
        Address::in($this);
    }

    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'token' => ['required', 'string'],
            'email' => Address::RULES,
            'password' => ['bail', 'required', 'string', 'max:200', Password::defaults()],
        ];
    }
}
