<?php

use Illuminate\Database\Eloquent\Model;
use Illuminate\Support\Facades\Gate;
use Illuminate\Support\Facades\Route;

/** What everybody has who is logged in: own pages, whose content goes by sight. */
const EVERYBODYS = [
    'today', 'search', 'join', 'join.in', 'keys', 'codebook', 'codebook.document', 'codebook.fault', 'practice',
    'practice.begin', 'practice.progress', 'lessons.index', 'plans', 'plans.store', 'plans.hours', 'contrast',
    'contrast.ask', 'readiness', 'read.next', 'agreement.index',
    'panel.index', 'logout',
    'own', 'own.data', 'password.confirm', 'password.confirm.store', 'account', 'account.update', 'account.password',
    'account.address', 'account.sessions.end',
    'account.leave', 'notices', 'notices.update', 'notices.seen',
    'account.factor', 'account.factor.keep', 'account.factor.codes', 'account.factor.drop',
];

it('has a policy on every route behind the log-in', function (): void {
    $without = [];
    foreach (Route::getRoutes() as $route) {
        $middleware = $route->gatherMiddleware();
        if (
            in_array('auth', $middleware, true) &&
            ! array_filter($middleware, fn ($m) => is_string($m) && (bool) preg_match('/^can:|Authorize:/', $m))
        ) {
            $without[] = $route->getName();
        }
    }
    expect($without)->toEqualCanonicalizing(EVERYBODYS);
});

it('asks policies only what they answer', function (): void {
    $asked = 0;
    foreach (Route::getRoutes() as $route) {
        $models = collect($route->signatureParameters(['subClass' => Model::class]))
            ->mapWithKeys(fn (ReflectionParameter $p): array => [$p->getName() => (string) $p->getType()]);
        foreach ($route->gatherMiddleware() as $m) {
            if (! is_string($m) || ! preg_match('/^(?:can|.*Authorize):([^,]+)(?:,([^,]+))?/', $m, $found)) {
                continue;
            }
            $of = $found[2] ?? '';
            $class = is_a($of, Model::class, true) ? $of : ($models[$of] ?? '');
            $policy = $class === '' ? null : Gate::getPolicyFor($class);
            expect($policy)->not->toBeNull("{$route->uri()} asks about '$of' ($class)");
            expect(method_exists($policy, $found[1]))->toBeTrue("$found[1] of ".$policy::class);
            $asked++;
        }
    }
    expect($asked)->toBeGreaterThan(50);
});
