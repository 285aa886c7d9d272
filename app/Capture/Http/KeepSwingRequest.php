<?php

declare(strict_types=1);

namespace App\Capture\Http;

use App\Models\Golfer;
use Core\Reading\SwingKind;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;

/** Whose a caught swing is, and what it was made with. */
final class KeepSwingRequest extends FormRequest
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'golfer' => ['bail', 'required', 'integer', Rule::exists(Golfer::class, 'id')],
            'club' => ['required', 'string', 'max:40'],
            'series' => ['nullable', 'string', 'max:60'],
            'swing' => ['nullable', Rule::enum(SwingKind::class)],
            'shape' => ['nullable', 'string', 'max:40'],
            'has_ball' => ['nullable', 'boolean'],
            'effort_pct' => ['nullable', 'integer', 'between:1,120'],
            'is_cold' => ['nullable', 'boolean'],
        ];
    }

    public function golfer(): Golfer
    {
        return Golfer::query()->with('consents')->whereKey($this->integer('golfer'))->firstOrFail();
    }

    /**
     * @return array{club: string, swing: string, shape: ?string, series: ?string, has_ball: ?bool, effort_pct: ?int,
     *     is_cold: bool}
     */
    public function facts(): array
    {
        $text = fn (string $field): ?string => $this->filled($field) ? $this->string($field)->trim()->value() : null;

        return [
            'club' => (string) $text('club'),
            'swing' => $text('swing') ?? SwingKind::Full->value,
            'shape' => $text('shape'),
            'series' => $text('series'),
            'has_ball' => $this->filled('has_ball') ? $this->boolean('has_ball') : null,
            'effort_pct' => $this->filled('effort_pct') ? $this->integer('effort_pct') : null,
            'is_cold' => $this->boolean('is_cold'),
        ];
    }
}
