<?php

declare(strict_types=1);

namespace App\Readiness\Http;

use Core\Training\DecisionKind;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;

/** What is decided, why, and under which conditions. */
final class DecisionRequest extends FormRequest
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'kind' => ['required', Rule::enum(DecisionKind::class)],
            'reason' => ['required', 'string', 'min:10', 'max:2000'],
            'conditions' => ['nullable', 'string', 'max:1000'],
        ];
    }

    public function kind(): DecisionKind
    {
        return $this->enum('kind', DecisionKind::class) ?? DecisionKind::Refused;
    }

    public function reason(): string
    {
        return $this->string('reason')->toString();
    }

    public function conditions(): string
    {
        return $this->string('conditions')->toString();
    }
}
