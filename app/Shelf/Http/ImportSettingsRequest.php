<?php

declare(strict_types=1);

namespace App\Shelf\Http;

use App\Models\Casts\Cell;
use Core\Codebook\SwingSize;
use Core\Format\ColumnMap;
use Core\Trace\DeviceClass;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;

/** What a person sets right about a file before it goes on the Shelf. */
final class ImportSettingsRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        $units = array_merge(...array_values(array_map(array_keys(...), ColumnMap::UNITS)));

        return [
            'club' => ['nullable', 'string', 'max:40'],
            'swing' => ['nullable', Rule::in(['full', 'part', 'rehearsal', 'drill'])],
            'size' => ['nullable', Rule::enum(SwingSize::class)],
            'loft_deg' => ['nullable', 'numeric', 'between:0,80'],
            'shape' => ['nullable', 'string', 'max:40'],
            'effort_pct' => ['nullable', 'integer', 'between:1,120'],
            'has_ball' => ['nullable', 'boolean'],
            'place' => ['nullable', 'integer', 'between:1,500'],
            'series' => ['nullable', 'string', 'max:60'],
            'is_cold' => ['nullable', 'boolean'],
            'device_name' => ['nullable', 'string', 'max:120'],
            'mass_kg' => ['nullable', 'numeric', 'between:20,250'],
            'lead_x' => ['nullable', 'numeric', 'between:-1500,1500', 'required_with:trail_x'],
            'lead_y' => ['nullable', 'numeric', 'between:-1500,1500'],
            'lead_flare' => ['nullable', 'numeric', 'between:-60,90'],
            'trail_x' => ['nullable', 'numeric', 'between:-1500,1500', 'required_with:lead_x'],
            'trail_y' => ['nullable', 'numeric', 'between:-1500,1500'],
            'device' => ['nullable', Rule::enum(DeviceClass::class)],
            'target' => ['nullable', Rule::in(['+x', '-x', '+y', '-y'])],
            'columns' => ['nullable', 'array', 'max:24'],
            'columns.*' => ['nullable', 'string', 'max:200'],
            'units' => ['nullable', 'array', 'max:24'],
            'units.*' => ['nullable', Rule::in($units)],
        ];
    }

    /** @return array<string, mixed> */
    public function settings(): array
    {
        $data = $this->validated();
        $out = array_filter(
            array_diff_key($data, ['columns' => 1, 'units' => 1]),
            static fn (mixed $v): bool => $v !== null && $v !== '',
        );
        if (isset($data['columns'])) {
            $device = DeviceClass::tryFrom(Cell::text($data['device'] ?? '')) ?? DeviceClass::Mat;
            $columns = (array) $data['columns'];
            $units = (array) ($data['units'] ?? []);
            $channels = [];
            foreach (['t_s', ...$device->channels(), ...$device->optionalChannels()] as $channel) {
                $column = Cell::text($columns[$channel] ?? '');
                if ($column !== '') {
                    $channels[$channel] = [
                        'column' => $column,
                        'unit' => Cell::text($units[$channel] ??
                                array_key_first(ColumnMap::UNITS[ColumnMap::kind($channel)])),
                    ];
                }
            }
            $out['map'] = ['device' => $device->value, 'channels' => $channels];
        }

        return $out;
    }
}
