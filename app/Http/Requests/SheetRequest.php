<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Models\Reading as Sheet;
use App\Queries\Codebooks;
use Core\Motion\Station;
use Core\Reading\Decision;
use Core\Reading\Presence;
use Core\Reading\Reading;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;

/** The whole reading sheet as the page holds it. */
final class SheetRequest extends FormRequest
{
    public function authorize(): bool
    {
        return true;
    }

    /** @return array<string, mixed> */
    public function rules(): array
    {
        /** @var Sheet $reading */
        $reading = $this->route('reading');
        $faults = app(Codebooks::class)->of($reading->loadMissing('case.round')->case->round)->keys();

        return [
            'version' => ['required', 'integer', 'min:0'],
            'id' => ['nullable', 'string', 'max:40'],
            'after' => ['nullable', 'array', 'max:80'],
            'after.*' => ['string', 'max:40'],
            'calls' => ['present', 'array:'.implode(',', $faults)],
            'calls.*.presence' => ['required', Rule::enum(Presence::class)],
            'calls.*.severity' => ['nullable', 'integer', 'between:1,3'],
            'calls.*.onset' => ['nullable', Rule::enum(Station::class)],
            'calls.*.decision' => ['nullable', Rule::enum(Decision::class)],
            'calls.*.confidence' => ['nullable', 'integer', 'between:50,100'],
            'calls.*.pins' => ['nullable', 'array', 'max:6'],
            'calls.*.pins.*.on' => ['required', 'in:film,trace'],
            'calls.*.pins.*.t' => ['required', 'numeric', 'between:0,600'],
            'first_causes' => ['present', 'array', 'max:2'],
            'first_causes.*' => ['string', Rule::in([...$faults, Reading::NOT_IN_THE_FEET])],
            'cue' => ['present', 'nullable', 'string', 'max:120'],
        ];
    }

    /** @return array{version: int, id: ?string, after: list<string>, calls: array<string, array<string, mixed>>, first_causes: list<string>, cue: string} */
    public function sheet(): array
    {
        /** @var array{version: int|string, id?: ?string, after?: ?list<string>, calls: array<string, array<string, mixed>>, first_causes: list<string>, cue: ?string} $data */
        $data = $this->validated();

        return ['version' => (int) $data['version'], 'id' => $data['id'] ?? null, 'after' => $data['after'] ?? [], 'calls' => $data['calls'], 'first_causes' => $data['first_causes'], 'cue' => (string) $data['cue']];
    }
}
