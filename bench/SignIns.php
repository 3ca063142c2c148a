<?php

declare(strict_types=1);

namespace HandGarden\Bench;

/** Signs in, or tries to: one at a time to be timed, or many at once. */
final readonly class SignIns
{
    private function __construct(
        /** @var non-empty-string */
        private string $base,
        private \PDO $database,
    ) {
    }

    /** @param non-empty-string $base */
    public static function at(string $base, string $databaseUrl): self
    {
        $url = parse_url($databaseUrl);
        parse_str($url['query'] ?? '', $query);
        $host = $query['host'] ?? $url['host'] ?? '127.0.0.1';
        $dsn = \sprintf(
            'pgsql:host=%s;port=%d;dbname=%s',
            \is_string($host) ? $host : '127.0.0.1',
            $url['port'] ?? 5432,
            ltrim($url['path'] ?? '', '/'),
        );

        return new self($base, new \PDO($dsn, $url['user'] ?? '', rawurldecode($url['pass'] ?? '')));
    }

    /** As if nobody had tried yet. */
    public function forget(): void
    {
        $this->database->exec('DELETE FROM sign_in_try');
    }

    /** @return float seconds that the answer took */
    public function wrong(string $email): float
    {
        $curl = $this->typed($email, 'not this one either');
        $begun = hrtime(true);
        curl_exec($curl);

        return (hrtime(true) - $begun) / 1e9;
    }

    public function right(string $email, string $password): bool
    {
        $curl = $this->typed($email, $password);
        curl_exec($curl);

        return !str_contains((string) curl_getinfo($curl, \CURLINFO_REDIRECT_URL), 'sign-in');
    }

    /** @return array{'wrong': int, 'too many': int} answers by what they say */
    public function atOnce(string $email, int $times): array
    {
        $all = curl_multi_init();
        $sent = [];
        foreach (range(1, $times) as $ignored) {
            $sent[] = $curl = $this->typed($email, 'not this one either');
            curl_multi_add_handle($all, $curl);
        }
        do {
            curl_multi_exec($all, $running);
            curl_multi_select($all);
        } while ($running > 0);
        $said = ['wrong' => 0, 'too many' => 0];
        foreach ($sent as $curl) {
            curl_multi_remove_handle($all, $curl);
            $page = $this->page($curl, '/sign-in');
            ++$said[str_contains($page, 'Too many') ? 'too many' : 'wrong'];
        }

        return $said;
    }

    /** A form that is filled in and not sent yet, in a session of its own. */
    private function typed(string $email, string $password): \CurlHandle
    {
        $curl = curl_init();
        \assert(false !== $curl);
        curl_setopt_array($curl, [\CURLOPT_RETURNTRANSFER => true, \CURLOPT_COOKIEFILE => '']);
        preg_match('/name="_csrf_token" value="([^"]+)"/', $this->page($curl, '/sign-in'), $token);
        curl_setopt_array($curl, [
            \CURLOPT_URL => $this->base.'/sign-in',
            \CURLOPT_POSTFIELDS => http_build_query([
                '_username' => $email,
                '_password' => $password,
                '_csrf_token' => $token[1] ?? '',
            ]),
        ]);

        return $curl;
    }

    private function page(\CurlHandle $curl, string $path): string
    {
        curl_setopt($curl, \CURLOPT_URL, $this->base.$path);
        curl_setopt($curl, \CURLOPT_HTTPGET, true);

        return (string) curl_exec($curl);
    }
}
