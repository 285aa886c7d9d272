<?php

declare(strict_types=1);

namespace App\Academy\Http;

use Illuminate\Foundation\Http\FormRequest;

/** Which people to list. What is no such choice is no filter. */
final class PeopleRequest extends FormRequest
{
    /** @return array{group: ?int, find: string, gone: bool} */
    public function filter(): array
    {
        $group = $this->query('group');
        $find = $this->query('find');

        return [
            'group' => is_string($group) && ctype_digit($group) && strlen($group) < 10 ? (int) $group : null,
            'find' => is_string($find) ? mb_substr(trim($find), 0, 80) : '',
            'gone' => $this->query('gone') === '1',
        ];
    }
}
