<?php

declare(strict_types=1);

namespace App\Agreement\Pages;

use App\Agreement\RoundRatings;
use App\Models\User;
use Core\Agreement\Figure;
use Core\Agreement\ItemTable;
use Core\Agreement\Profile\DawidSkene;
use Core\Number\Written;
use Core\Reading\Presence;

/** What the round's calls alone, without the key, say of a person: a second opinion. */
final class PersonWithoutKey
{
    /**
     * @param  array<string, Figure>  $figures  against the key
     * @param  array{name: string, whose: string}  $said  of whom, and whether of oneself
     * @return array{latent: array<string, mixed>|null, withoutKey: list<string>}
     */
    public function of(RoundRatings $ratings, User $person, array $figures, array $said, bool $scored): array
    {
        $latent = self::latent($ratings, $person);

        return ['latent' => $latent, 'withoutKey' => array_map(strval(...), match (true) {
            $latent === null => [__('agreement.person.latent.few')],
            ! $latent['separated'] => [__('agreement.person.latent.one-kind')],
            default => [
                __("agreement.person.{$said['whose']}.latent".($scored ? '-beside' : ''), [
                    'name' => $said['name'],
                    'hit' => self::percent($latent['hit']),
                    'alarm' => self::percent($latent['alarm']),
                    'sensitivity' => self::percent($figures['sensitivity']->estimate),
                    'false' => self::percent(
                        $figures['specificity']->estimate === null ? null : 1.0 - $figures['specificity']->estimate,
                    ),
                ]),
                __('agreement.person.latent.how', [
                    'converged' => __('agreement.person.latent.'.($latent['converged'] ? 'converged' : 'unfinished')),
                    'starts' => $latent['starts'],
                    'of' => $latent['of'],
                    'prevalence' => self::percent($latent['prevalence']),
                ]),
            ],
        })];
    }

    private static function percent(?float $share): string
    {
        return $share === null ? (string) __('figures.none') : Written::fixed(100.0 * $share, 0).' %';
    }

    /**
     * Rates of a latent-class model over all faults.
     *
     * @return array{hit: float, alarm: float, prevalence: float, converged: bool, starts: int, of: int,
     *     separated: bool}|null
     */
    private static function latent(RoundRatings $ratings, User $person): ?array
    {
        $set = $ratings->said();
        if ($set->isEmpty()) {
            return null;
        }
        $table = ItemTable::fromRatings(
            $set,
            $set->items(),
            [Presence::Absent->value, Presence::Present->value],
            Presence::CannotTell->value,
        );
        $at = array_search('u'.$person->id, $table->raters, true);
        $fit = $at === false || count($table->raters) < 3 ? null : DawidSkene::fit($table, 5);

        return $fit === null
            ? null
            : [
                'hit' => $fit->confusion[(int) $at][1][1],
                'alarm' => $fit->confusion[(int) $at][0][1],
                'prevalence' => $fit->prevalence[1],
                'converged' => $fit->converged,
                'starts' => $fit->starts,
                'of' => $fit->of,
                'separated' => $fit->separated,
            ];
    }
}
