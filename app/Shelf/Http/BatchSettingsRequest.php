<?php

declare(strict_types=1);

namespace App\Shelf\Http;

use App\Models\Casts\Cell;
use App\Models\Golfer;
use Core\Reading\SwingKind;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;
use Illuminate\Validation\Rules\Enum;
use Illuminate\Validation\Rules\Exists;

/** What is set right about files that came together, a row each. */
final class BatchSettingsRequest extends FormRequest
{
    private const FIELDS = ['club', 'swing', 'shape', 'series', 'place'];

    /** @return array<string, list<string|Exists|Enum>> */
    public function rules(): array
    {
        return [
            'rows' => ['array', 'max:'.BatchRequest::MOST],
            'rows.*' => ['array'],
            'rows.*.golfer' => ['bail', 'nullable', 'integer', Rule::exists(Golfer::class, 'id')],
            'rows.*.club' => ['nullable', 'string', 'max:40'],
            'rows.*.swing' => ['nullable', 'string', Rule::enum(SwingKind::class)],
            'rows.*.shape' => ['nullable', 'string', 'max:40'],
            'rows.*.series' => ['nullable', 'string', 'max:60'],
            'rows.*.place' => ['nullable', 'integer', 'between:1,500'],
        ];
    }

    /** @return array{golfer: ?int, settings: array<string, string>}|null */
    public function row(string $import): ?array
    {
        $rows = $this->validated('rows');
        $row = is_array($rows) ? $rows[$import] ?? null : null;
        if (! is_array($row)) {
            return null;
        }
        $settings = [];
        foreach (self::FIELDS as $field) {
            $settings[$field] = trim(Cell::text($row[$field] ?? ''));
        }
        $golfer = Cell::text($row['golfer'] ?? '');

        return ['golfer' => $golfer === '' ? null : (int) $golfer, 'settings' => $settings];
    }
}
