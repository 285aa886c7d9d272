<?php

declare(strict_types=1);

namespace App\Practice\Http;

use Core\Reading\Presence;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;

/** Whether the fault is there. */
final class AnswerRequest extends FormRequest
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return ['presence' => ['required', Rule::enum(Presence::class)]];
    }

    public function presence(): Presence
    {
        return $this->enum('presence', Presence::class) ?? throw new \LogicException('validated, and none');
    }
}
