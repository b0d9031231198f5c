<?php

declare(strict_types=1);

namespace Tests\Reference;

/** Asks a library of the npm registry, which knows nothing of this program, for its answers. */
final class NodeReference
{
    /** @return array<mixed> what the script prints as JSON */
    public static function ask(string $script, mixed $input = null): array
    {
        $process = proc_open(
            ['node', __DIR__.'/'.$script],
            [['pipe', 'r'], ['pipe', 'w'], ['pipe', 'w']],
            $pipes,
            dirname(__DIR__, 2),
        );
        if ($process === false) {
            throw new \RuntimeException('Node.js could not be started.');
        }
        fwrite($pipes[0], json_encode($input, JSON_THROW_ON_ERROR));
        fclose($pipes[0]);
        $answer = (string) stream_get_contents($pipes[1]);
        $complaint = (string) stream_get_contents($pipes[2]);
        if (proc_close($process) !== 0) {
            throw new \RuntimeException("$script failed: $complaint");
        }

        return (array) json_decode($answer, true, flags: JSON_THROW_ON_ERROR);
    }
}
