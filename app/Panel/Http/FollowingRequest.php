<?php

declare(strict_types=1);

namespace App\Panel\Http;

use Core\Consensus\LiesIn;
use Core\Motion\Station;
use Core\Reading\Presence;
use Core\Reading\Severity;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;

/** What a member says of one question of a following round. */
final class FollowingRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'fault' => ['required', 'string', 'max:40'],
            'presence' => ['required', 'string', Rule::enum(Presence::class)],
            'severity' => ['nullable', 'integer', 'between:1,3'],
            'onset' => ['nullable', 'string', Rule::enum(Station::class)],
            'reason' => ['nullable', 'string', 'max:240'],
            'lies' => ['required', 'string', Rule::enum(LiesIn::class)],
        ];
    }

    public function fault(): string
    {
        return $this->string('fault')->value();
    }

    public function presence(): Presence
    {
        return Presence::from($this->string('presence')->value());
    }

    public function severity(): ?Severity
    {
        return $this->filled('severity') ? Severity::from($this->integer('severity')) : null;
    }

    public function onset(): ?Station
    {
        return $this->filled('onset') ? Station::from($this->string('onset')->value()) : null;
    }

    public function lies(): LiesIn
    {
        return LiesIn::from($this->string('lies')->value());
    }
}
