<?php

declare(strict_types=1);

namespace App\Lessons\Http;

use App\Models\Casts\Cell;
use Illuminate\Foundation\Http\FormRequest;

/** What is said in a session of a golfer. */
final class LessonRequest extends FormRequest
{
    private const TEXTS = ['complaint', 'aim', 'explanation', 'traits', 'tried'];

    /** @return array<string, list<string>> */
    public function rules(): array
    {
        return [
            'held_on' => [
                'bail', 'required', 'string', 'date_format:Y-m-d', 'after:1990-01-01', 'before_or_equal:tomorrow',
            ],
            ...array_fill_keys(self::TEXTS, ['nullable', 'string', 'max:2000']),
            'asks_feel' => ['boolean'],
            'given_by' => ['bail', 'nullable', 'integer', 'exists:users,id'],
            'seen' => ['nullable', 'string', 'max:20'],
            'swings_listed' => ['boolean'],
            'swings' => ['array', 'max:100'],
            'swings.*' => ['integer'],
        ];
    }

    /**
     * @return array{held_on: string, complaint: ?string, aim: ?string, explanation: ?string, traits: ?string,
     *     tried: ?string, asks_feel: bool, given_by?: ?int}
     */
    public function said(): array
    {
        $text = fn (string $field): ?string => $this->filled($field) ? $this->string($field)->trim()->value() : null;

        return [
            'held_on' => $this->string('held_on')->value(),
            'complaint' => $text('complaint'),
            'aim' => $text('aim'),
            'explanation' => $text('explanation'),
            'traits' => $text('traits'),
            'tried' => $text('tried'),
            'asks_feel' => $this->boolean('asks_feel'),
            // Who gives a session only the head coach says.
            ...$this->has('given_by') && $this->user()?->isHeadCoach() === true
                ? ['given_by' => $this->filled('given_by') ? $this->integer('given_by') : null]
                : [],
        ];
    }

    /** @return list<int>|null null where the form had no list of swings */
    public function recordings(): ?array
    {
        return $this->boolean('swings_listed')
            ? array_values(array_map(Cell::int(...), (array) $this->validated('swings', [])))
            : null;
    }
}
