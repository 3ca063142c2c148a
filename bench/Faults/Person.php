<?php

declare(strict_types=1);

namespace HandGarden\Bench\Faults;

/** Somebody who is signed in, with a connection and a session of their own. */
final class Person
{
    public readonly \CurlHandle $curl;

    private string $token = '';

    public function __construct(
        /** @var non-empty-string */
        private readonly string $base,
        private readonly string $email,
        #[\SensitiveParameter]
        private readonly string $password,
    ) {
        $this->curl = curl_init();
        curl_setopt_array($this->curl, [
            \CURLOPT_RETURNTRANSFER => true,
            \CURLOPT_COOKIEFILE => '',
            \CURLOPT_TIMEOUT => 20,
            \CURLOPT_HEADER => true,
        ]);
    }

    /** Until it is done: a server that is being started again is waited for. */
    public function signIn(): void
    {
        for ($tries = 0; $tries < 300; ++$tries) {
            $page = $this->alone($this->ask('/sign-in'));
            if (1 === preg_match('/name="_csrf_token" value="([^"]+)"/', $page->body, $m)) {
                $this->alone($this->post('/sign-in', [
                    '_username' => $this->email,
                    '_password' => $this->password,
                    '_csrf_token' => $m[1],
                ]));
            }
            $today = $this->alone($this->ask('/'));
            if (
                200 === $today->status
                && 1 === preg_match('/name="_token" value="([^"]+)"/', $today->body, $m)
            ) {
                $this->token = $m[1];

                return;
            }
            usleep(200_000);
        }
        throw new \RuntimeException('Nobody lets '.$this->email.' in.');
    }

    /** Another window of the same browser: the same session over a second connection. */
    public function secondWindow(): self
    {
        $other = new self($this->base, $this->email, $this->password);
        foreach (curl_getinfo($this->curl, \CURLINFO_COOKIELIST) as $cookie) {
            if ('' !== $cookie) {
                curl_setopt($other->curl, \CURLOPT_COOKIELIST, $cookie);
            }
        }
        $other->token = $this->token;

        return $other;
    }

    public function ask(string $path): \CurlHandle
    {
        curl_setopt_array($this->curl, [
            \CURLOPT_URL => $this->base.$path,
            \CURLOPT_HTTPGET => true,
            \CURLOPT_HTTPHEADER => [],
        ]);

        return $this->curl;
    }

    /** @param array<array-key, mixed> $fields */
    public function post(string $path, array $fields): \CurlHandle
    {
        curl_setopt_array($this->curl, [
            \CURLOPT_URL => $this->base.$path,
            \CURLOPT_POST => true,
            \CURLOPT_POSTFIELDS => http_build_query($fields),
            \CURLOPT_HTTPHEADER => [],
        ]);

        return $this->curl;
    }

    /** @param array<string, mixed> $line */
    public function json(string $path, array $line): \CurlHandle
    {
        curl_setopt_array($this->curl, [
            \CURLOPT_URL => $this->base.$path,
            \CURLOPT_POST => true,
            \CURLOPT_POSTFIELDS => json_encode($line, \JSON_THROW_ON_ERROR),
            \CURLOPT_HTTPHEADER => ['Content-Type: application/json', 'X-Garden-Token: '.$this->token],
        ]);

        return $this->curl;
    }

    public function alone(\CurlHandle $request): Answer
    {
        return self::together([$request])[0];
    }

    /**
     * All at the same moment.
     *
     * @param list<\CurlHandle> $requests of different people
     *
     * @return list<Answer>
     */
    public static function together(array $requests): array
    {
        $all = curl_multi_init();
        foreach ($requests as $request) {
            curl_multi_add_handle($all, $request);
        }
        do {
            curl_multi_exec($all, $running);
            curl_multi_select($all, 0.2);
        } while ($running > 0);
        $answers = [];
        foreach ($requests as $request) {
            $answers[] = Answer::from(
                $request,
                (string) curl_multi_getcontent($request),
            );
            curl_multi_remove_handle($all, $request);
        }
        curl_multi_close($all);

        return $answers;
    }
}
