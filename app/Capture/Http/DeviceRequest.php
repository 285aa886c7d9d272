<?php

declare(strict_types=1);

namespace App\Capture\Http;

use Illuminate\Foundation\Http\FormRequest;

/** A device that may send. */
final class DeviceRequest extends FormRequest
{
    /** @return array<string, list<string>> */
    public function rules(): array
    {
        return ['name' => ['required', 'string', 'max:120']];
    }
}
