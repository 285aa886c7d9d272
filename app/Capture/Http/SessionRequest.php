<?php

declare(strict_types=1);

namespace App\Capture\Http;

use Core\CoreException;
use Core\Format\Json\JsonObject;
use Core\Format\Json\StanceJson;
use Core\Trace\DeviceClass;
use Core\Trace\Stance;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;

/** What a device says of itself before it sends. */
final class SessionRequest extends FormRequest
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'class' => ['required', Rule::enum(DeviceClass::class)],
            'rate_hz' => ['required', 'numeric', 'between:1,5000'],
            'channels' => ['required', 'array', 'max:24'],
            'channels.*' => ['string', 'distinct', 'regex:/^[a-z_]{2,40}$/'],
            'mass_kg' => ['nullable', 'numeric', 'between:20,250'],
            'stance' => ['nullable', 'array'],
        ];
    }

    public function device(): DeviceClass
    {
        return DeviceClass::from($this->string('class')->value());
    }

    /** @return list<string> */
    public function channels(): array
    {
        return array_values(array_filter((array) $this->validated('channels'), is_string(...)));
    }

    public function massKg(): ?float
    {
        $mass = $this->validated('mass_kg');

        return is_numeric($mass) ? (float) $mass : null;
    }

    /** @throws CoreException where it is none */
    public function stance(): ?Stance
    {
        $stance = $this->validated('stance');

        return $stance === null ? null : StanceJson::read(JsonObject::from($stance, 'stance'));
    }
}
