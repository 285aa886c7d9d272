<?php

use Illuminate\Http\Middleware\TrustProxies;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Route;

const EVERYWHERE = [
    'Content-Security-Policy', 'X-Content-Type-Options', 'X-Frame-Options', 'Referrer-Policy', 'Permissions-Policy',
];

it('sends the same headers with every answer: pages, files, errors, devices, health', function () {
    $this->actingAs($this->headCoach());
    foreach (['/', '/login', '/nothing/here', '/record/file', '/up', "/x\xff", '/people/9999'] as $uri) {
        $answer = $this->get($uri);
        foreach (EVERYWHERE as $header) {
            expect($answer->headers->get($header))->not->toBeNull("$header of $uri");
        }
        expect($answer->headers->has('X-Powered-By'))->toBeFalse();
    }
    $this->postJson('/ingest/sessions')->assertUnauthorized()->assertHeader('Content-Security-Policy');
    $this->delete('/practice')->assertStatus(405)->assertHeader('Content-Security-Policy');
});

it('lets no page run or style what is written into it, and no page has any', function () {
    $policy = $this->get('/login')->headers->get('Content-Security-Policy');
    expect($policy)->not->toContain('unsafe')->not->toContain('http')->not->toContain('*');
    $views = [];
    foreach (new RecursiveIteratorIterator(new RecursiveDirectoryIterator(resource_path('views'))) as $file) {
        $text = $file->isFile() ? file_get_contents($file->getPathname()) : '';
        // Papers are printed from a file; nothing serves them.
        $isPaper = preg_match('/paper\.blade\.php$|report.style\.blade/', $file->getPathname()) === 1;
        if (! $isPaper && preg_match('/<style|\sstyle="|\son[a-z]+="|javascript:|<script(?![^>]*\ssrc=)(?![^>]*type="application\/json")/i', $text) === 1) {
            $views[] = $file->getPathname();
        }
    }
    expect($views)->toBe([]);
});

it('names nobody else’s address in anything it serves', function () {
    $own = '/https?:\/\/(?!127\.0\.0\.1|localhost|www\.w3\.org)[a-z0-9.-]+/i';
    $found = [];
    foreach ([resource_path('views'), public_path('js'), public_path('css')] as $root) {
        foreach (new RecursiveIteratorIterator(new RecursiveDirectoryIterator($root)) as $file) {
            if ($file->isFile() && preg_match($own, (string) file_get_contents($file->getPathname()), $m) === 1) {
                $found[] = $file->getPathname().': '.$m[0];
            }
        }
    }
    expect($found)->toBe([]);
});

it('answers under the names that are configured and no other', function () {
    config(['security.hosts' => ['academy.example', '127.0.0.1', '']]);
    Request::setTrustedHosts([]);
    $this->get('http://academy.example/login')->assertOk();
    $this->get('http://127.0.0.1:8080/login')->assertOk();
    foreach (['evil.example', 'academy.example.evil.example', 'xacademy.example', 'academyxexample'] as $host) {
        $answer = $this->get("http://$host/login");
        expect($answer->getStatusCode())->toBeIn([400, 404], $host)
            ->and($answer->getContent())->not->toContain($host);
    }
    Request::setTrustedHosts([]);
});

it('believes a proxy only where one is configured', function () {
    Route::get('/from', static fn () => request()->ip().' '.(request()->isSecure() ? 'secure' : 'plain'));
    $forwarded = [
        'X-Forwarded-For' => '203.0.113.50',
        'X-Forwarded-Proto' => 'https',
        'X-Forwarded-Host' => 'evil.example',
    ];
    $this->get('/from', $forwarded)->assertSee('127.0.0.1 plain')->assertHeaderMissing('Strict-Transport-Security');
    TrustProxies::at(['127.0.0.1']);
    Request::setTrustedHosts([]);
    config(['security.hosts' => ['academy.example']]);
    $this->get('http://academy.example/from', ['X-Forwarded-Host' => 'academy.example'] + $forwarded)
        ->assertSee('203.0.113.50 secure')
        ->assertHeader('Strict-Transport-Security', 'max-age=31536000');
    $this->get('http://academy.example/from', $forwarded)->assertStatus(400);
    TrustProxies::flushState();
    Request::setTrustedHosts([]);
});

it('binds its cookie to the host by name where TLS is, and has another name without', function () {
    $of = static function (string $url): array {
        [$code, $out] = ran(
            [
                PHP_BINARY, '-r',
                'require "vendor/autoload.php"; $s = require "config/session.php"; echo json_encode($s);',
            ],
            ['APP_URL' => $url],
        );
        expect($code)->toBe(0);

        return json_decode($out, true);
    };
    $tls = $of('https://academy.example');
    $plain = $of('http://127.0.0.1:8080');
    expect($tls)
        ->toMatchArray(
            [
                'cookie' => '__Host-verified-consensus',
                'secure' => true,
                'http_only' => true,
                'path' => '/',
                'domain' => null,
            ],
        )
        ->and($plain)->toMatchArray(['cookie' => 'verified-consensus', 'secure' => false, 'http_only' => true]);
});
