<?php

declare(strict_types=1);

namespace App\Sittings\Http;

use App\Http\Controller;
use App\Models\Reading;
use App\Shelf\Http\FilmPart;
use App\Sight\NotNow;
use App\Sight\Onlookers;
use App\Sittings\Pages\ReadingSwing;
use Core\Motion\View;
use Symfony\Component\HttpFoundation\Response;

/** The film of a swing as it is shown within a reading: by its place in the case, as far as its arm shows film. */
final class ReadingFilmController extends Controller
{
    public function __construct(
        private readonly FilmPart $film,
        private readonly ReadingSwing $of,
        private readonly Onlookers $onlookers,
    ) {
    }

    public function __invoke(Reading $reading, int $swing, string $view, string $part): Response
    {
        $sight = $this->onlookers->of($this->user())->ofReading($reading);
        $sight->why === null || throw NotNow::because($sight->why);
        abort_unless(
            in_array($view, array_map(static fn (View $v): string => $v->value, $reading->filmViews()), true),
            404,
        );
        $recording = ($this->of)($reading, $swing);
        $rendition = $this->of->rendition($reading, $recording);

        return $this->film->answer(
            $recording,
            $view,
            $part,
            $rendition === null ? null : static fn (string $file): string => $rendition->path($view, $file),
        );
    }
}
