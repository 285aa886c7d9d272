<?php

declare(strict_types=1);

namespace App\Notices\Http;

use Illuminate\Foundation\Http\FormRequest;

/** The last notice that stood on the page: what came since was not seen. */
final class SeenRequest extends FormRequest
{
    /** @return array<string, list<string>> */
    public function rules(): array
    {
        return ['upto' => ['required', 'integer', 'min:1', 'max:9000000000000']];
    }
}
