import { spawnSync } from 'node:child_process'
import { chownSync, mkdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'
import { freePort } from '../api/server.ts'

const isRoot = process.getuid?.() === 0

/** Runs a program as PostgreSQL wants to be run: not as root. */
const asPostgres = (program: string, args: string[]): [string, string[]] =>
  isRoot ? ['runuser', ['-u', 'postgres', '--', program, ...args]] : [program, args]

const idOf = (flag: string) => Number(spawnSync('id', [flag, 'postgres'], { encoding: 'utf8' }).stdout)

/** A database cluster of our own that may be killed, stopped in its tracks and filled up. */
export class Cluster {
  readonly data: string
  private constructor(
    readonly folder: string,
    readonly port: number,
    private readonly bin: string,
  ) {
    this.data = join(folder, 'data')
  }

  static async make(folder: string, bin: string): Promise<Cluster> {
    mkdirSync(folder, { recursive: true })
    if (isRoot) chownSync(folder, idOf('-u'), idOf('-g'))
    const cluster = new Cluster(folder, await freePort(), bin)
    cluster.run('initdb', ['-D', cluster.data, '-U', 'needler', '--auth=trust', '-E', 'UTF8', '--locale=C.UTF-8'])
    writeFileSync(
      join(cluster.data, 'postgresql.auto.conf'),
      `port = ${cluster.port}\nlisten_addresses = '127.0.0.1'\nunix_socket_directories = '${folder}'\nmin_wal_size = 32MB\nmax_wal_size = 32MB\n`,
    )
    return cluster
  }

  url(database: string, user = 'needler'): string {
    return `postgres://${user}@127.0.0.1:${this.port}/${database}`
  }

  private run(program: string, args: string[]): void {
    const [command, all] = asPostgres(join(this.bin, program), args)
    const done = spawnSync(command, all, { cwd: '/', encoding: 'utf8', stdio: ['ignore', 'ignore', 'pipe'] })
    if (done.status !== 0) throw new Error(`${program}: ${done.stderr}`)
  }

  /** Starts it, and waits until it answers; what was killed may still be about to let go of its memory. */
  start(tries = 10): void {
    try {
      this.run('pg_ctl', ['-D', this.data, '-w', '-t', '60', '-l', join(this.folder, 'log'), 'start'])
    } catch (error) {
      if (tries <= 1) throw new Error(`${(error as Error).message}\n${this.lastWords()}`)
      spawnSync('sleep', ['0.3'])
      this.start(tries - 1)
    }
  }

  private lastWords(): string {
    return readFileSync(join(this.folder, 'log'), 'utf8').split('\n').slice(-8).join('\n')
  }

  private pid(): number {
    return Number(readFileSync(join(this.data, 'postmaster.pid'), 'utf8').split('\n')[0])
  }

  /** Every process of it, as it is now. */
  private all(): number[] {
    const parent = this.pid()
    const children = spawnSync('pgrep', ['-P', String(parent)], { encoding: 'utf8' }).stdout.split('\n')
    return [parent, ...children.filter(Boolean).map(Number)]
  }

  private signal(name: NodeJS.Signals): void {
    for (const pid of this.all())
      try {
        process.kill(pid, name)
      } catch {
        // It has ended meanwhile.
      }
  }

  /** Kills it as a power cut does: no process of it gets a last word. */
  kill(): void {
    this.signal('SIGKILL')
    rmSync(join(this.data, 'postmaster.pid'), { force: true })
  }

  freeze(): void {
    this.signal('SIGSTOP')
  }

  thaw(): void {
    this.signal('SIGCONT')
  }

  stop(): void {
    try {
      this.thaw()
      this.run('pg_ctl', ['-D', this.data, '-m', 'immediate', '-w', 'stop'])
    } catch {
      // It is down already.
    }
  }
}
