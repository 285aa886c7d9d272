<?php

// What somebody sends who means harm, over every route, method and parameter there is: made from the route table, so
// that a new route is tried the day it is written.

use App\Models\User;
use Core\Chance\Chance;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Routing\Route as Routed;
use Illuminate\Support\Facades\Route;

/** Values that fields and addresses do not expect. */
function hostileValues(): array
{
    return [
        'an array' => ['x'],
        'arrays in arrays' => [['a' => ['b' => ['c']]], [1, [2, [3]]]],
        'a list of nothing' => [],
        'a number of four hundred digits' => str_repeat('9', 400),
        'beyond floats' => '1e309',
        'beyond 32 bits' => '2147483648',
        'beyond 64 bits' => '9223372036854775808',
        'a number as a number' => 9_223_372_036_854_775_807,
        'less than nothing' => '-1',
        'not a number' => 'NaN',
        'bad UTF-8' => "\xff\xfe\x80",
        'half a character' => "ok\xe2\x82",
        'NUL' => "a\0b",
        'a hundred thousand letters' => str_repeat('long ', 20_000),
        'nothing' => '',
        'null' => null,
        'true' => true,
        'no such day' => '2026-02-30',
        'a day beyond calendars' => '99999-01-01',
        'before there were days' => '0000-00-00',
        'a way up' => '../../../../etc/passwd',
        'an end to a query' => "') or 1=1; --",
        'markup' => '<script>alert(1)</script>',
        'turned round' => "\u{202e}txt.exe",
        'a pattern' => '%_%\\',
        'deep text' => str_repeat('[', 2_000),
    ];
}

/** @return list<string> the names of what a route's controller and its form request take */
function fieldsOf(Routed $route): array
{
    $action = $route->getAction('controller');
    if (! is_string($action)) {
        return ['x'];
    }
    [$class, $method] = [...explode('@', $action), '__invoke'];
    $names = [];
    $sources = [new ReflectionClass($class)];
    foreach ((new ReflectionMethod($class, $method))->getParameters() as $parameter) {
        $type = $parameter->getType();
        if ($type instanceof ReflectionNamedType && is_subclass_of($type->getName(), Illuminate\Http\Request::class)) {
            $request = new ReflectionClass($type->getName());
            $sources = [...$sources, $request, ...array_values($request->getTraits())];
        }
    }
    foreach ($sources as $source) {
        $text = (string) file_get_contents((string) $source->getFileName());
        preg_match_all('/(?:query|input|string|integer|float|boolean|date|get|post|json|file|has|filled|array|enum|collect)\(\'([a-z_]+)\'/', $text, $asked);
        preg_match_all('/^\s+\'([a-z_]+)(?:\.\*)*(?:\.[a-z_]+)*\'\s*=>/m', $text, $ruled);
        $names = [...$names, ...$asked[1], ...$ruled[1]];
    }

    return array_values(array_unique(['seen', 'page', ...$names]));
}

/**
 * What the route's parameters are really called by, as far as the rows go, and who may go there: whose row it is, else
 * the head coach.
 *
 * @return array{array<string, string>, User}
 */
function realParameters(Routed $route, User $user): array
{
    $out = [];
    $as = $user;
    $types = [];
    foreach ($route->signatureParameters() as $parameter) {
        $type = $parameter->getType();
        $types[$parameter->getName()] = $type instanceof ReflectionNamedType ? $type->getName() : '';
    }
    foreach ($route->parameterNames() as $name) {
        $class = $types[$name] ?? '';
        $row = is_subclass_of($class, Model::class) ? rowToTry($class) : null;
        if ($row !== null && is_int($row->getAttributes()['user_id'] ?? null)) {
            $as = User::query()->findOrFail($row->getAttributes()['user_id']);
        }
        $is = match (true) {
            $row !== null => $row->getRouteKey(),
            is_subclass_of($class, BackedEnum::class) => $class::cases()[0]->value,
            default => null,
        };
        $out[$name] = (string) ($is ?? [
            'member' => User::query()->where('role', 'instructor')->value('id'),
            'session' => 'others', 'place' => '1', 'part' => '1', 'part_of' => 'film', 'token' => str_repeat('z', 40),
            'fault' => 'late-recentre', 'station' => 'TP', 'view' => 'face-on', 'batch' => str_repeat('a', 26),
            'following' => App\Models\Sitting::query()->value('public_id'), 'first' => App\Models\Recording::query()
                ->value('public_id'),
            'second' => App\Models\Recording::query()->latest('id')->value('public_id'),
        ][$name] ?? '1');
    }

    return [$out, $as];
}

function rowToTry(string $class): ?Model
{
    return $class::query()
        ->when($class === App\Models\Reading::class, static fn ($q) => $q
            ->whereNull('handed_in_at')
            ->whereHas('case.sitting', static fn ($q) => $q->where('state', 'open')))
        ->orderBy('id')
        ->first();
}

/**
 * Every request: for each route and method, each parameter of the address hostile in turn, then all fields of one kind,
 * then a mixture.
 *
 * @return list<array{0: string, 1: string, 2: array<string, mixed>, 3: string, 4: User}> method, address, fields, what
 *     it is, who sends it
 */
function hostileRequests(User $user, string $seed): array
{
    $chance = new Chance("hostile|$seed");
    $values = hostileValues();
    $out = [];
    foreach (Route::getRoutes()->getRoutes() as $route) {
        [$real, $as] = realParameters($route, $user);
        $address = static function (array $with) use ($route): string {
            $uri = $route->uri();
            foreach ($with as $name => $is) {
                $uri = preg_replace(
                    '/\{'.$name.'(:[a-z_]+)?\??\}/',
                    strtr(rawurlencode((string) $is), ['%' => '%']),
                    $uri,
                );
            }

            return '/'.ltrim((string) $uri, '/');
        };
        $fields = fieldsOf($route);
        foreach (array_diff($route->methods(), ['HEAD']) as $method) {
            $name = $method.' '.$route->uri();
            foreach (array_keys($real) as $parameter) {
                foreach (array_filter($values, static fn (mixed $v): bool => is_string($v) && $v !== '' && strlen($v) < 3000) as $what => $value) {
                    $out[] = [$method, $address([...$real, $parameter => $value]), [], "$name: $parameter is $what", $as];
                }
            }
            foreach ($values as $what => $value) {
                $out[] = [$method, $address($real), array_fill_keys($fields, $value), "$name: every field is $what", $as];
            }
            for ($i = 0; $i < 4; $i++) {
                $mixed = [];
                foreach ($fields as $field) {
                    $mixed[$field] = array_values($values)[$chance->between(0, count($values) - 1)];
                }
                $out[] = [$method, $address($real), $mixed, "$name: a mixture $i", $as];
            }
        }
    }

    return $out;
}
