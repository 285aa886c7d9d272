<?php

declare(strict_types=1);

namespace App\Lessons\Pages;

use Core\Codebook\Codebook;
use Core\Codebook\Limit;
use Core\Prescription\Reason;
use Core\Prescription\ReasonCode;

/** What speaks for a drill and against it, in words. */
final class Reasons
{
    public static function says(Reason $reason, Codebook $codebook): string
    {
        return (string) __("prescriptions.reasons.{$reason->code->value}", [
            'fault' => $codebook->faults[$reason->fault ?? '']->name ?? '',
            'limit' => $reason->limit === null ? '' : self::limit($reason->limit),
            'says' => rtrim($reason->says, '.'),
        ]);
    }

    /**
     * @param  list<Reason>  $reasons
     * @return list<array{says: string, for: bool, grave: bool}>
     */
    public static function all(array $reasons, Codebook $codebook): array
    {
        return array_map(static fn (Reason $r): array => [
            'says' => self::says($r, $codebook),
            'for' => $r->code->speaksFor(),
            'grave' => $r->code->asksWhy(),
        ], $reasons);
    }

    /** What stood against a drill when it was handed over, of Reason::key(). */
    public static function kept(string $key, Codebook $codebook): string
    {
        [$code, $about] = array_pad(explode(':', $key, 2), 2, '');
        [$region, $side, $severity] = array_pad(explode('|', $about), 3, '');
        $drill = ReasonCode::tryFrom($code);

        return $drill === null ? $key : (string) __("prescriptions.reasons.$code", [
            'fault' => $codebook->faults[$about]->name ?? '',
            'limit' => $drill === ReasonCode::Limit ? self::words($region, $side, $severity) : '',
            'says' => (string) __('prescriptions.reasons.as-then'),
        ]);
    }

    private static function limit(Limit $limit): string
    {
        return self::words($limit->region->value, $limit->side->value ?? '', $limit->severity->value);
    }

    private static function words(string $region, string $side, string $severity): string
    {
        return (string) __($side === '' ? 'limits.one' : 'limits.one-sided', [
            'side' => $side === '' ? '' : __("limits.sides.$side"),
            'region' => __("limits.regions.$region"),
            'severity' => __("limits.severities.$severity"),
        ]);
    }
}
