<?php

declare(strict_types=1);

namespace App\Http;

use App\Models\User;
use Core\Sight\Role;
use Illuminate\Support\Facades\Route;

/**
 * The places of the application in the order of work: what a person may go to, and where they are.
 *
 * @phpstan-type Page array{word: string, url: string, here: bool}
 * @phpstan-type Place array{word: string, url: string, here: bool, pages: list<Page>}
 */
final readonly class Navigation
{
    /** By place, its pages; a page is named by its route, and by what the names of its further routes begin with. */
    private const PLACES = [
        'today' => ['today' => ['today', 'today']],
        'library' => [
            'shelf' => ['shelf', 'shelf|bench|imports|batches|films|facts'],
            'capture' => ['capture', 'capture'],
            'codebook' => ['codebook', 'codebook'],
        ],
        'study' => ['rounds' => ['rounds', 'rounds'], 'panel' => ['panel.index', 'panel']],
        'findings' => [
            'agreement' => ['agreement.index', 'agreement'],
            'debrief' => ['debrief.index', 'debrief|debriefs'],
            'reports' => ['reports', 'reports'],
        ],
        'training' => [
            'practice' => ['practice', 'practice'],
            'plans' => ['plans', 'plans'],
            'contrast' => ['contrast', 'contrast'],
            'readiness' => ['readiness', 'readiness'],
            'lessons' => ['lessons.index', 'lessons|prescriptions|follow-ups'],
        ],
        'academy' => [
            'people' => ['people', 'people'],
            'golfers' => ['golfers', 'golfers'],
            'record' => ['record', 'record'],
            'settings' => ['academy', 'academy|retention|erasures'],
        ],
    ];

    /** Pages for those who do not run the academy; what is published to them opens from there. */
    private const READERS = [
        Role::Instructor->value => ['today', 'practice', 'readiness', 'agreement', 'lessons', 'codebook'],
        Role::Panel->value => ['today', 'panel', 'practice', 'lessons', 'codebook'],
    ];

    public function __construct(private User $user)
    {
    }

    /** @return list<Place> */
    public function places(): array
    {
        $own = $this->readersPages();
        if ($own !== null) {
            return $this->own($own);
        }
        $places = array_map(
            fn (array $pages): array => array_values(array_map($this->page(...), array_keys($pages), $pages)),
            self::PLACES,
        );

        return array_values(array_map(
            static fn (string $place, array $pages): array => [
                'word' => __("places.$place"),
                'url' => $pages[0]['url'],
                'here' => in_array(true, array_column($pages, 'here'), true),
                'pages' => count($pages) > 1 ? $pages : [],
            ],
            array_keys($places),
            $places,
        ));
    }

    /** @return list<Page> every page this person may go to from the head of a page */
    public function pages(): array
    {
        $own = $this->readersPages();
        if ($own !== null) {
            return array_map(
                static fn (array $place): array => [
                    'word' => $place['word'],
                    'url' => $place['url'],
                    'here' => $place['here'],
                ],
                $this->own($own),
            );
        }
        $pages = array_merge(...array_values(self::PLACES));

        return array_values(array_map($this->page(...), array_keys($pages), $pages));
    }

    /** @return list<string>|null null for who runs the academy; nothing for a role that nobody thought of */
    private function readersPages(): ?array
    {
        if ($this->user->isHeadCoach()) {
            return null;
        }
        $own = self::READERS[$this->user->role->value] ?? [];

        // An instructor who sits on the panel as well.
        return $this->user->on_panel && ! in_array('panel', $own, true)
            ? [...array_slice($own, 0, -1), 'panel', ...array_slice($own, -1)]
            : $own;
    }

    /**
     * @param  list<string>  $own
     * @return list<Place>
     */
    private function own(array $own): array
    {
        $pages = array_merge(...array_values(self::PLACES));

        return array_map(
            fn (string $page): array => [...$this->page($page, $pages[$page], 'own'), 'pages' => []],
            $own,
        );
    }

    /**
     * @param  array{string, string}  $routes
     * @return Page
     */
    private function page(string $page, array $routes, string $words = 'page'): array
    {
        $name = Route::currentRouteName() ?? '';

        return [
            'word' => __("places.$words.$page"),
            'url' => route($routes[0]),
            'here' => preg_match("/^({$routes[1]})(\\.|$)/", $name) === 1,
        ];
    }
}
