<?php

declare(strict_types=1);

namespace App\Http\Requests;

use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rules\Password;

final class SignUpRequest extends FormRequest
{
    public function authorize(): bool
    {
        return true;
    }

    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'name' => ['required', 'string', 'max:120'],
            'email' => ['required', 'email', 'max:190', 'unique:users'],
            'password' => ['required', 'string', 'max:200', Password::defaults()],
            'time_zone' => ['nullable', 'timezone'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['email.unique' => 'There is an account with this address already. Sign in, or ask for a new password.'];
    }

    /** @return array<string, mixed> */
    public function account(): array
    {
        return array_filter($this->validated(), static fn(mixed $value): bool => $value !== null);
    }
}
