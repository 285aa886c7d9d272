<?php

declare(strict_types=1);

namespace App\Readiness\Http;

use App\Models\User;
use Core\Training\DecisionKind;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;

/** What is decided, why, and under which conditions. */
final class DecisionRequest extends FormRequest
{
    /** Asked before anything is looked at: of others nobody learns even that they are there. */
    public function authorize(): bool
    {
        $person = $this->route('person');
        $user = $this->user();
        abort_unless(
            $user instanceof User && $person instanceof User && ($user->isHeadCoach() || $person->is($user)),
            404,
        );

        return true;
    }

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
