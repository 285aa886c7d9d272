<?php

declare(strict_types=1);

namespace App\Academy;

use App\Models\Casts\Cell;
use App\Models\Golfer;
use Core\Chance\Chance;

/** Names for golfers that are nobody's: of trees, stones and weather, drawn anew where they run out by a number. */
final readonly class Pseudonyms
{
    /** @return list<string> so many that are free, in an order that says nothing of when golfers came */
    public function free(int $many, string $seed): array
    {
        $taken = array_map(
            static fn (mixed $name): string => mb_strtolower(Cell::text($name)),
            Golfer::query()->pluck('pseudonym')->all(),
        );
        $all = array_map(Cell::text(...), (array) trans('pseudonyms'));
        $free = array_values(array_filter(
            $all,
            static fn (string $name): bool => ! in_array(mb_strtolower($name), $taken, true),
        ));
        for ($n = 2; count($free) < $many; $n++) {
            foreach ($all as $name) {
                if (! in_array(mb_strtolower("$name $n"), $taken, true)) {
                    $free[] = "$name $n";
                }
            }
        }

        return array_slice((new Chance("pseudonym|$seed"))->shuffled($free), 0, $many);
    }
}
