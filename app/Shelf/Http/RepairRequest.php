<?php

declare(strict_types=1);

namespace App\Shelf\Http;

use Core\Trace\RepairKind;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;

/** Which repair a person says yes to. */
final class RepairRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return ['repair' => ['required', Rule::enum(RepairKind::class)]];
    }

    public function kind(): RepairKind
    {
        return RepairKind::from($this->string('repair')->value());
    }
}
