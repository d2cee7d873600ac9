<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Http\Given;
use App\Rules\Id;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Http\UploadedFile;

/** A file, or the readable text of a page, and what it is to hang on. */
final class AttachmentRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return ['id' => ['required', new Id()], 'holder' => ['required', new Id()], 'name' => ['nullable', 'string', 'max:255']];
    }

    public function id(): string
    {
        return $this->string('id')->toString();
    }

    public function holder(): string
    {
        return $this->string('holder')->toString();
    }

    /**
     * @return array{name: string, file: string|UploadedFile} its name, and its bytes or where they are
     *
     * @throws \DomainException with a sentence for the person
     */
    public function kept(): array
    {
        $file = $this->file('file');
        if ($file instanceof UploadedFile && $file->isValid()) {
            return ['name' => $file->getClientOriginalName(), 'file' => $file];
        }
        $text = Given::text($this, 'text');
        if ($text === '') {
            throw new \DomainException('The file did not arrive. A file may have 20 MB at most, a sound or a film 100 MB.');
        }


        return ['name' => ($this->string('name')->toString() ?: 'Text') . '.txt', 'file' => $text];
    }
}
