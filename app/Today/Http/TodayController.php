<?php

declare(strict_types=1);

namespace App\Today\Http;

use App\Http\Controller;
use App\Today\Pages\TodayPage;
use Core\Sight\Role;
use Illuminate\Contracts\View\View;

final class TodayController extends Controller
{
    public function __invoke(TodayPage $page): View
    {
        $user = $this->user();

        return $user->role === Role::HeadCoach
            ? view('today.head-coach', $page->forHeadCoach($user))
            : view('today.reader', $page->forReader($user));
    }
}
