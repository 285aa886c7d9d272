<?php

declare(strict_types=1);

namespace App\Http;

use Illuminate\Pagination\LengthAwarePaginator;

/** A page of a list that is known whole, but shown in parts. */
final class Paged
{
    /**
     * @template T
     *
     * @param  list<T>  $all
     * @param  string  $name  of the page's number in the address
     * @param  int|null  $place  one that the page is to hold, whatever the address says
     * @return LengthAwarePaginator<int, T>
     */
    public static function of(array $all, int $each, string $name = 'page', ?int $place = null): LengthAwarePaginator
    {
        $page = $place === null ? LengthAwarePaginator::resolveCurrentPage($name) : 1 + intdiv($place, $each);
        $pages = new LengthAwarePaginator(array_slice($all, $each * ($page - 1), $each), count($all), $each, $page, [
            'path' => LengthAwarePaginator::resolveCurrentPath(),
            'pageName' => $name,
        ]);

        return $pages->appends(array_diff_key(request()->query(), ['entry' => true]));
    }
}
