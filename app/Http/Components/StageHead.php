<?php

declare(strict_types=1);

namespace App\Http\Components;

use Illuminate\Contracts\View\View;
use Illuminate\View\Component;

/** What a page with a stage needs is asked for at once, not file by file as each is read. */
final class StageHead extends Component
{
    /** Scripts of each page. */
    private const OWN = [
        'bench' => ['bench/page', 'bench/aids', 'bench/films-panel', 'bench/why'],
        'reading' => [
            'reading/page',
            'bench/aids',
            'reading/activity',
            'reading/case',
            'reading/offline',
            'reading/pins',
            'reading/queue',
            'reading/refusal',
            'reading/sheet',
            'reading/summary',
            'reading/walk',
        ],
        'debrief' => ['debrief/page', 'debrief/lanes', 'bench/aids'],
        'asked' => ['panel/asked'],
        'practice' => ['practice/page'],
        'room' => ['debrief/room'],
        'compare' => ['bench/compare', 'bench/follow'],
    ];

    /** Scripts of every stage. */
    private const STAGE = [
        'bench/figure',
        'bench/film',
        'bench/foot-map',
        'bench/person',
        'bench/picture',
        'bench/ribbon',
        'bench/size',
        'bench/sole',
        'bench/solids',
        'bench/stage',
        'bench/trace-plot',
        'keys',
        'words',
    ];

    /**
     * @param  'bench'|'reading'|'debrief'|'asked'|'practice'|'room'|'compare'  $script  of which page
     * @param  list<string>  $fetch  addresses of what it will ask for
     * @param  list<string>  $pictures  addresses of the pictures it opens with
     */
    public function __construct(public string $script, public array $fetch = [], public array $pictures = [])
    {
    }

    public function render(): View
    {
        return view('components.stage-head', ['modules' => [...self::OWN[$this->script], ...self::STAGE]]);
    }
}
