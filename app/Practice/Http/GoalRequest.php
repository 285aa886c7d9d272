<?php

declare(strict_types=1);

namespace App\Practice\Http;

use App\Codebook\Codebooks;
use App\Models\Enums\GoalKind;
use App\Models\User;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;

/** What somebody is to have done, and by when. */
final class GoalRequest extends FormRequest
{
    /** @return array<string, list<mixed>> */
    public function rules(Codebooks $codebooks): array
    {
        return [
            'person' => ['bail', 'nullable', 'integer', Rule::exists('users', 'id')],
            'kind' => ['required', 'string', Rule::enum(GoalKind::class)],
            'fault' => ['nullable', 'string', Rule::in(array_keys($codebooks->current()->faults))],
            'amount' => ['nullable', 'integer', 'between:1,500'],
            'words' => ['required_if:kind,words', 'nullable', 'string', 'max:300'],
            'due_on' => [
                'bail', 'required', 'string', 'date_format:Y-m-d', 'after_or_equal:today', 'before:2100-01-01',
            ],
        ];
    }

    /** Only a head coach sets a goal for somebody else. */
    public function person(User $by): User
    {
        return $by->isHeadCoach() && $this->filled('person') ? User::query()
            ->findOrFail($this->integer('person')) : $by;
    }

    /** @return array{kind: GoalKind, fault: ?string, amount: int, words: string, due_on: string} */
    public function goal(): array
    {
        $kind = GoalKind::from($this->string('kind')->value());

        return [
            'kind' => $kind,
            'fault' => $kind === GoalKind::Practise && $this->filled('fault') ? $this->string('fault')->value() : null,
            'amount' => match ($kind) {
                GoalKind::Practise, GoalKind::FollowUp => max(1, $this->integer('amount', 1)),
                default => 1,
            },
            'words' => $kind === GoalKind::Words ? $this->string('words')->trim()->value() : '',
            'due_on' => $this->string('due_on')->value(),
        ];
    }
}
