<?php

declare(strict_types=1);

namespace App\Shelf\Http;

use Illuminate\Foundation\Http\FormRequest;

/** A part of a film on its way: where in the file it belongs. */
final class FilmPartRequest extends FormRequest
{
    /** @return array<string, list<string>> */
    public function rules(): array
    {
        return ['offset' => ['required', 'integer', 'min:0']];
    }
}
