<?php

declare(strict_types=1);

namespace HandGarden\Bench;

/** One kept connection, signed in. */
final class Browser
{
    /** Of the request that was answered last, as php-fpm counts it. */
    public float $peakMegabytes = 0.0;

    private function __construct(
        private readonly \CurlHandle $curl,
        private readonly string $base,
    ) {
    }

    public static function signedIn(string $base, string $password): self
    {
        $curl = curl_init();
        \assert(false !== $curl);
        $browser = new self($curl, $base);
        $token = $browser->find('/name="_csrf_token" value="([^"]+)"/', $browser->get('/sign-in'));
        $browser->get('/sign-in', [
            '_username' => 'maren@quayside.example',
            '_password' => $password,
            '_csrf_token' => $token,
        ]);

        return $browser;
    }

    /** @param array<string, mixed> $post */
    public function get(string $path, array $post = []): string
    {
        curl_setopt_array($this->curl, [
            \CURLOPT_URL => $this->base.'/'.ltrim($path, '/'),
            \CURLOPT_RETURNTRANSFER => true,
            \CURLOPT_COOKIEFILE => '',
            \CURLOPT_HEADERFUNCTION => function (\CurlHandle $curl, string $header): int {
                if (1 === preg_match('/^X-Peak-Bytes: (\d+)/i', $header, $m)) {
                    $this->peakMegabytes = (int) $m[1] / 1_048_576;
                }

                return \strlen($header);
            },
        ]);
        curl_setopt_array($this->curl, [] === $post
            ? [\CURLOPT_HTTPGET => true]
            : [\CURLOPT_POST => true, \CURLOPT_POSTFIELDS => http_build_query($post)]);
        $body = (string) curl_exec($this->curl);
        $status = curl_getinfo($this->curl, \CURLINFO_RESPONSE_CODE);
        if (!\in_array($status, [200, 302, 303], true)) {
            fwrite(\STDERR, "$path answered $status\n");
            exit(1);
        }

        return $body;
    }

    public function find(string $pattern, string $text): string
    {
        return 1 === preg_match($pattern, $text, $m) ? $m[1] : exit("Nothing like $pattern on the page.\n");
    }
}
