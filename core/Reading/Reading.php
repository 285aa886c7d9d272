<?php

declare(strict_types=1);

namespace Core\Reading;

use Core\Codebook\Codebook;
use Core\Codebook\Shown;

/** All that one rater says about one case. */
final readonly class Reading
{
    public const NOT_IN_THE_FEET = 'not-in-the-feet';

    public const CUE_WORDS = 8;

    /**
     * @param  array<string, Call>  $calls  by fault key
     * @param  list<string>  $firstCauses  fault keys or NOT_IN_THE_FEET, two at most
     */
    public function __construct(public array $calls, public array $firstCauses = [], public string $cue = '')
    {
    }

    /**
     * What stands in the way of handing in, one sentence each; empty when nothing does.
     *
     * @return list<string>
     */
    public function obstacles(Codebook $codebook): array
    {
        $out = [];
        foreach ($codebook->faults as $key => $fault) {
            $call = $this->calls[$key] ?? null;
            if ($call === null) {
                $out[] = ucfirst($fault->name).' has no call.';
            } elseif ($call->presence === Presence::Present && $call->severity === null) {
                $out[] = ucfirst($fault->name).' is called present without a severity.';
            }
        }
        if (count($this->firstCauses) > 2) {
            $out[] = 'At most two first causes are allowed.';
        }
        $present = array_keys(array_filter($this->calls, static fn (Call $c): bool => $c->presence === Presence::Present));
        foreach ($this->firstCauses as $cause) {
            if ($cause !== self::NOT_IN_THE_FEET && ! in_array($cause, $present, true)) {
                $out[] = 'A first cause must be a fault called present, or "not in the feet".';
            }
        }
        if ($present !== [] && $this->firstCauses === []) {
            $out[] = 'A first cause is missing.';
        }
        if (self::words($this->cue) > self::CUE_WORDS) {
            $out[] = 'The cue has more than eight words.';
        }

        return array_values(array_unique($out));
    }

    /**
     * Calls of present or absent made where the shown evidence cannot support them. Allowed, counted, told afterwards.
     *
     * @return list<string> fault keys
     */
    public function unsupported(Codebook $codebook, Shown $shown): array
    {
        $out = [];
        foreach ($this->calls as $key => $call) {
            if ($call->presence !== Presence::CannotTell && ! $codebook->fault($key)->sight($shown)->supports()) {
                $out[] = $key;
            }
        }

        return $out;
    }

    public static function words(string $text): int
    {
        return preg_match_all('/[^\s]+/u', trim($text)) ?: 0;
    }
}
