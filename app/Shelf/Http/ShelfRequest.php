<?php

declare(strict_types=1);

namespace App\Shelf\Http;

use App\Shelf\Pages\ShelfPage;
use Core\Trace\DeviceClass;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;

final class ShelfRequest extends FormRequest
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'club' => ['nullable', 'string', 'max:40'],
            'hand' => ['nullable', 'in:right,left'],
            'device' => ['nullable', Rule::enum(DeviceClass::class)],
            'fault' => ['nullable', 'string', 'max:40'],
            'find' => ['nullable', 'string', 'max:60'],
            'order' => ['nullable', Rule::in(ShelfPage::ORDERS)],
            'page' => ['nullable', 'integer', 'min:1', 'max:100000'],
        ];
    }

    /** @return array<string, string> what was asked for and is not empty */
    public function filter(): array
    {
        $asked = array_map(fn (string $name): string => $this->string($name)->trim()->value(), [
            'club' => 'club',
            'hand' => 'hand',
            'device' => 'device',
            'fault' => 'fault',
            'find' => 'find',
            'order' => 'order',
        ]);

        return array_filter($asked, static fn (string $value): bool => $value !== '');
    }
}
