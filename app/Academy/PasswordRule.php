<?php

declare(strict_types=1);

namespace App\Academy;

use Closure;
use Illuminate\Contracts\Validation\ValidationRule;

/**
 * A password is long and not one of those that are tried first. No letters of this kind or that are asked for: what is
 * demanded is what everybody adds at the end.
 */
final readonly class PasswordRule implements ValidationRule
{
    public const SHORTEST = 12;

    /**
     * @param  list<string>  $about  the person's names and address, the academy's: no password is made of those alone
     */
    public function __construct(private array $about = [])
    {
    }

    /** @param  Closure(string): mixed  $fail */
    public function validate(string $attribute, mixed $value, Closure $fail): void
    {
        if (! is_string($value)) {
            $fail((string) __('account.password.none'));

            return;
        }
        $why = $this->refuses($value);
        if ($why !== null) {
            $fail((string) __("account.password.$why", ['n' => self::SHORTEST]));
        }
    }

    /** @return 'short'|'long'|'common'|'about'|null */
    public function refuses(string $password): ?string
    {
        $plain = mb_strtolower($password);

        return match (true) {
            mb_strlen($password) < self::SHORTEST => 'short',
            strlen($password) > 72 => 'long',
            self::isCommon($plain) => 'common',
            $this->isAbout($plain) => 'about',
            default => null,
        };
    }

    /** One of the list, also said twice, or with figures and signs about it; or a row of neighbours. */
    private static function isCommon(string $plain): bool
    {
        $word = (string) preg_replace('/^[^\p{L}]+|[^\p{L}]+$/u', '', $plain);
        foreach (array_unique([$plain, $word, self::once($plain), self::once($word)]) as $one) {
            if (mb_strlen($one) < 4 || self::isRow($one) || self::isListed($one)) {
                return true;
            }
        }

        return false;
    }

    /** What a text that only says one thing again and again says. */
    private static function once(string $text): string
    {
        return preg_match('/^(.+?)\1+$/us', $text, $m) === 1 ? $m[1] : $text;
    }

    private static function isRow(string $text): bool
    {
        foreach (['abcdefghijklmnopqrstuvwxyz', '01234567890123456789', 'qwertyuiopasdfghjklzxcvbnm'] as $row) {
            if (str_contains($row, $text) || str_contains(strrev($row), $text)) {
                return true;
            }
        }

        return false;
    }

    private static function isListed(string $text): bool
    {
        /** @var array<string, int>|null $list */
        static $list = null;
        $list ??= array_flip(explode("\n", (string) gzdecode(
            (string) file_get_contents(resource_path('passwords/common.txt.gz')),
        )));

        return isset($list[$text]);
    }

    /** Whether nothing to speak of is left without the names and numbers in it. */
    private function isAbout(string $plain): bool
    {
        $left = $plain;
        foreach ($this->about as $text) {
            foreach ((array) preg_split('/[^\p{L}\p{N}]+/u', mb_strtolower($text)) as $word) {
                $left = mb_strlen((string) $word) >= 3 ? str_replace((string) $word, '', $left) : $left;
            }
        }

        return $left !== $plain && mb_strlen((string) preg_replace('/[^\p{L}]+/u', '', $left)) < 5;
    }
}
