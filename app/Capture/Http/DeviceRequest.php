<?php

declare(strict_types=1);

namespace App\Capture\Http;

use Core\Trace\DeviceClass;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;

/** A device that may send. */
final class DeviceRequest extends FormRequest
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'name' => ['required', 'string', 'max:120'],
            'class' => ['nullable', Rule::enum(DeviceClass::class)],
        ];
    }

    public function kind(): ?DeviceClass
    {
        return $this->enum('class', DeviceClass::class);
    }
}
