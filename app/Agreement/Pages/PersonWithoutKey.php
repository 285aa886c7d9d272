<?php

declare(strict_types=1);

namespace App\Agreement\Pages;

use Core\Agreement\Figure;
use Core\Agreement\Profile\LatentRates;
use Core\Number\Written;

/** What the round's calls alone, without the key, say of a person: a second opinion. */
final class PersonWithoutKey
{
    /**
     * @param  array<string, Figure>  $figures  against the key
     * @param  array{name: string, whose: string}  $said  of whom, and whether of oneself
     * @return array{withoutKey: list<string>}
     */
    public function of(?LatentRates $latent, array $figures, array $said, bool $scored): array
    {
        return ['withoutKey' => array_map(strval(...), match (true) {
            $latent === null => [__('agreement.person.latent.few')],
            ! $latent->separated => [__('agreement.person.latent.one-kind')],
            default => [
                __("agreement.person.{$said['whose']}.latent".($scored ? '-beside' : ''), [
                    'name' => $said['name'],
                    'hit' => self::percent($latent->hit),
                    'alarm' => self::percent($latent->alarm),
                    'sensitivity' => self::percent($figures['sensitivity']->estimate),
                    'false' => self::percent(
                        $figures['specificity']->estimate === null ? null : 1.0 - $figures['specificity']->estimate,
                    ),
                ]),
                __('agreement.person.latent.how', [
                    'converged' => __('agreement.person.latent.'.($latent->converged ? 'converged' : 'unfinished')),
                    'starts' => $latent->starts,
                    'of' => $latent->of,
                    'prevalence' => self::percent($latent->prevalence),
                ]),
            ],
        })];
    }

    private static function percent(?float $share): string
    {
        return $share === null ? (string) __('figures.none') : Written::fixed(100.0 * $share, 0).' %';
    }
}
