<?php

declare(strict_types=1);

namespace App\Panel\Pages;

use App\Models\KeyEntry;
use App\Words\Term;
use Core\Codebook\Fault;

/** The film of a swing at the moment where a fault shows, from each side it was filmed, for who rules on it. */
final class ConflictMoment
{
    /** @return list<array{url: string, says: string}> */
    public static function of(KeyEntry $entry, Fault $fault): array
    {
        $out = [];
        foreach ($entry->recording->films as $film) {
            if ($film->isReady() && array_key_exists($fault->station->value, $film->stills)) {
                $out[] = [
                    'url' => route('bench.film', [$entry->recording, $film->view, $fault->station->value], false),
                    'says' => (string) __('panel.moment', [
                        'view' => Term::view($film->coreView()),
                        'station' => Term::station($fault->station),
                    ]),
                ];
            }
        }

        return $out;
    }
}
