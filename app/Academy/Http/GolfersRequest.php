<?php

declare(strict_types=1);

namespace App\Academy\Http;

use Illuminate\Foundation\Http\FormRequest;

/** Which golfers to list. What is no such choice is no filter. */
final class GolfersRequest extends FormRequest
{
    /** @return array{find: string, consent: string} */
    public function filter(): array
    {
        $find = $this->query('find');
        $consent = $this->query('consent');

        return [
            'find' => is_string($find) ? mb_substr(trim($find), 0, 80) : '',
            'consent' => in_array($consent, ['none', 'ending'], true) ? $consent : '',
        ];
    }
}
