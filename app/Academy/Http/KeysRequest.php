<?php

declare(strict_types=1);

namespace App\Academy\Http;

use Illuminate\Foundation\Http\FormRequest;

/** A person's own keyboard map: key by action, of those that differ from the program's. */
final class KeysRequest extends FormRequest
{
    /** @return array<string, list<string>> */
    public function rules(): array
    {
        return ['keys' => ['present', 'array', 'max:80'], 'keys.*' => ['required', 'string', 'max:24']];
    }

    /** @return array<string, string> as sent: the framework would trim the space bar away */
    public function map(): array
    {
        $sent = json_decode($this->getContent(), true);
        $keys = is_array($sent) && is_array($sent['keys'] ?? null) ? $sent['keys'] : [];
        $out = [];
        foreach ($keys as $action => $key) {
            $known = preg_match('/^[A-Za-z][A-Za-z-]{1,30}$/', (string) $action) === 1;
            abort_unless($known && is_string($key), 422, (string) __('keys.no-such'));
            $out[(string) $action] = $key;
        }

        return $out;
    }
}
