import json,sys,collections
def load(f): return [json.loads(l) for l in open(f)]
rows=load(sys.argv[1]); base=load(sys.argv[2]) if len(sys.argv)>2 else []
B={(r['word'],r['t'],r['s']):r for r in base}
by=collections.defaultdict(dict)
for r in rows: by[(r['t'],r['s'])][r['word']]=r
for (t,s),d in by.items():
    ok=[r for r in d.values() if 'refused' not in r]
    print(t,s,'n',len(d),'refused',[r['word'] for r in d.values() if 'refused' in r],'first',sum(r['attempt']==0 for r in ok),'drawnUp<1',[(r['word'],r['attempt'],round(r['drawnUp'],2)) for r in ok if r['drawnUp']<.99 or r['attempt']],'sec %.1f max %.1f'%(sum(r['sec'] for r in d.values()),max(r['sec'] for r in d.values())))
    if s=='ship':
        if len(d)<=16:
            for r in ok:
                b=B.get((r['word'],t,s))
                print('%-28s'%r['word'],' '.join('%s %4.0f'%(k[:4],r[k])+(('(%4.0f)'%b[k]) if b and k in b else '') for k in ['inKnotMm','topMm','bottomMm','heightMm','depthMm','tiltDeg']),'%.1fs'%r['sec'])
    else:
        S=by.get((t,'ship'),{})
        for k in ['inKnotMm','topMm','bottomMm','heightMm','depthMm']:
            v=[r[k]/S[w][k]-1 for w,r in d.items() if w in S and k in r and k in S[w]]
            print('  %s mean|d| %.1f%% bias %.1f%% max %.1f%%'%(k,100*sum(map(abs,v))/len(v),100*sum(v)/len(v),100*max(map(abs,v))),end='')
        v=[r['tiltDeg']-S[w]['tiltDeg'] for w,r in d.items() if w in S and 'tiltDeg' in r and 'tiltDeg' in S[w]]
        print('  tilt mean %.1f max %.1f'%(sum(map(abs,v))/len(v),max(map(abs,v))))
