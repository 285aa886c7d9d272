<?php

declare(strict_types=1);

namespace App\Http;

use Illuminate\Contracts\Encryption\DecryptException;
use Illuminate\Session\DatabaseSessionHandler;
use Illuminate\Support\Facades\Crypt;

/**
 * Sessions in the database that are written where something of them changed, or when they were last written a while
 * ago: a sheet that saves every second changes nothing of who is here. Neither does the page last looked at, for
 * whoever tells with every request where it comes from: the framework asks the session where the request does not.
 */
final class SteadySessions extends DatabaseSessionHandler
{
    /** By how many seconds what is told of the last visit may be behind. */
    public const BEHIND_S = 30;

    private string $id = '';

    private string $held = '';

    private int $at = 0;

    /** @param  string  $sessionId */
    public function read($sessionId): string
    {
        $this->id = $sessionId;
        $this->at = 0;

        return $this->held = (string) parent::read($sessionId);
    }

    /** @param  string  $data */
    public function write($sessionId, $data): bool
    {
        return $this->isAsHeld($sessionId, $data) || parent::write($sessionId, $data);
    }

    /** @param  \stdClass  $session */
    protected function expired($session): bool
    {
        $at = $session->last_activity ?? null;
        $this->at = is_int($at) ? $at : 0;

        return parent::expired($session);
    }

    private function isAsHeld(string $id, string $data): bool
    {
        $age = $this->currentTime() - $this->at;
        if ($id !== $this->id || $this->held === '' || $age < 0 || $age >= self::BEHIND_S) {
            return false;
        }
        try {
            // The same is never encrypted twice alike.
            return self::said($this->held) === self::said($data);
        } catch (DecryptException) {
            return false;
        }
    }

    /** @throws DecryptException */
    private static function said(string $sealed): string
    {
        $said = Crypt::decrypt($sealed);
        $said = is_string($said) ? $said : '';
        if (! request()->hasHeader('referer')) {
            return $said;
        }
        $parts = unserialize($said, ['allowed_classes' => false]);

        return is_array($parts) ? serialize(array_diff_key($parts, ['_previous' => 0])) : $said;
    }
}
