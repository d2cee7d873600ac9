<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Access\Role;
use App\Models\Plan;
use App\Rules\Address;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;

final class InviteRequest extends FormRequest
{
    public function authorize(): bool
    {
        return $this->route('plan') instanceof Plan;
    }

    protected function prepareForValidation(): void
    {
        Address::in($this);
    }

    /** @return array<string, mixed> */
    public function rules(): array
    {
        return ['email' => Address::RULES, 'role' => ['required', Rule::in(array_column(Role::shared(), 'value'))]];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['email.*' => 'This is no e-mail address.'];
    }

    public function email(): string
    {
        return $this->string('email')->toString();
    }

    public function role(): Role
    {
        return Role::from($this->string('role')->toString());
    }
}
